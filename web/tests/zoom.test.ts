import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import type { Evaluation } from '@/api/client'
import { LEFT_PX, RIGHT_PX, useAxis } from '@/bench/strip/useAxis'
import { useZoom, viewAround } from '@/bench/strip/useZoom'
import { useBench } from '@/bench/useBench'
import { useSelection } from '@/bench/useSelection'

describe('looking closer', () => {
  it('keeps within the leader, and a short one is seen whole', () => {
    expect(viewAround(11.9, 12)).toEqual({ from_m: 12 - 0.22 * 12, to_m: 12 })
    expect(viewAround(0, 12).from_m).toBe(0)
    expect(viewAround(0.2, 0.6)).toEqual({ from_m: 0, to_m: 0.6 })
  })

  it('maps what is in view to the width, and back', () => {
    const view = ref({ from_m: 0, to_m: 10 })
    const axis = useAxis(800, view)
    expect(axis.value.x(0)).toBe(LEFT_PX)
    expect(axis.value.x(10)).toBe(800 - RIGHT_PX)
    view.value = { from_m: 8, to_m: 10 }
    expect(axis.value.x(8)).toBe(LEFT_PX)
    expect(axis.value.m(axis.value.x(9.3))).toBeCloseTo(9.3)
  })

  beforeEach(() => setActivePinia(createPinia()))

  it('follows what is selected, and stands while that is moved within the view', async () => {
    const bench = useBench()
    const reading = {
      length: { si: 12 },
      pieces: [
        { index: 0, start_m: 0, end_m: 10 },
        { index: 1, start_m: 10, end_m: 12 },
      ],
      joints: [{ at_m: 0 }, { at_m: 10 }, { at_m: 12 }],
      things: [{ index: 0, at_m: 11.5 }],
      branches: [{ joint: 1, at_m: 10 }],
    }
    bench.evaluation = reading as unknown as Evaluation
    const [zoom, selection] = [useZoom(), useSelection()]
    expect(zoom.viewOf(12)).toEqual({ from_m: 0, to_m: 12 })
    zoom.toggle()
    for (const [kind, index, at_m] of [
      ['piece', 1, 11],
      ['thing', 0, 11.5],
      ['branch', 1, 10],
      ['joint', 0, 0],
    ] as const) {
      selection.select(kind, index)
      expect(zoom.at_m).toBe(at_m)
      expect(zoom.viewOf(12)).toEqual(viewAround(at_m, 12))
    }
    selection.select('thing', 0)
    for (const [at_m, seen] of [
      [10.5, 11.5],
      [4, 4],
    ] as const) {
      bench.evaluation = { ...reading, things: [{ index: 0, at_m }] } as unknown as Evaluation
      await nextTick()
      expect(zoom.viewOf(12)).toEqual(viewAround(seen, 12))
    }
  })
})
