import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Evaluation, WaterReading } from '@/api/client'
import { useBench } from '@/bench/useBench'
import { usePreviewDrag } from '@/bench/usePreviewDrag'
import { useRigActs } from '@/bench/useRigActs'
import { useSelection } from '@/bench/useSelection'
import { boxOf, pathOf, timeMarks, wayOf } from '@/bench/water/section'

/** A float, a knot and a fly that sinks a metre in two seconds. */
const frames: [number, number][][] = [0, 1, 2].map((second) => [
  [0, 1],
  [-0.5, 1 - 0.25 * second],
  [-1, 1 - 0.5 * second],
])
const movie = { every_s: 1, frames, begins_s: 2 }
const reading = { depth: { si: 1, text: '1 m' }, movie } as WaterReading
const px = (x: number, z: number) => [100 * x, 100 - 100 * z] as const

describe('the section', () => {
  it('takes in all that the rig reaches', () => {
    expect(boxOf([reading])).toEqual({ left: -1, right: 0.4, top: 1 })
    const led = { ...reading, movie: { ...movie, frames: [[[2, 3]]] } } as WaterReading
    expect(boxOf([reading, led])).toEqual({ left: -1, right: 2, top: 3 })
  })

  it('draws nodes of a frame, and the way of one node', () => {
    expect(pathOf(frames[2]!, [0, 1, 2], px)).toBe('M0.0 0.0L-50.0 50.0L-100.0 100.0')
    expect(wayOf(frames, 2, 1, px)).toBe('M-100.0 0.0L-100.0 50.0')
  })

  it('marks whole seconds, and leaves out those that would crowd', () => {
    expect(timeMarks(movie, 2, px).map((mark) => mark.text)).toEqual(['1 s', '2 s'])
    expect(timeMarks(movie, 2, (x, z) => [10 * x, 10 * z])).toHaveLength(1)
  })
})

const evaluation = {
  pieces: [
    { index: 0, start_m: 0, end_m: 1 },
    { index: 1, start_m: 1, end_m: 2 },
  ],
  things: [
    { index: 0, at_m: 1.6, kind: 'shot', above: { si: 0.4 } },
    { index: 1, at_m: 0.5, kind: 'indicator', above: { si: 1.5 } },
  ],
  branches: [{ joint: 1, form: 'dropper', length: { si: 0.3 } }],
} as unknown as Evaluation

describe('what hangs on the leader', () => {
  const sent: unknown[] = []

  beforeEach(() => {
    setActivePinia(createPinia())
    sent.length = 0
    const bench = useBench()
    bench.evaluation = evaluation
    bench.edit = (edit) => sent.push(edit)
    bench.preview = (edit) => sent.push(edit)
    bench.settle = () => sent.push('settled')
    bench.revert = () => sent.push('reverted')
  })

  it('is met in its order along the strip', () => {
    const words = useSelection().things.map(({ kind, index }) => `${kind} ${index}`)
    expect(words).toEqual([
      'joint 0',
      'piece 0',
      'thing 1',
      'joint 1',
      'branch 1',
      'piece 1',
      'thing 0',
      'joint 2',
    ])
  })

  it('falls back to what is there when it is gone', () => {
    const selection = useSelection()
    selection.select('branch', 1)
    expect(selection.selected).toEqual({ kind: 'branch', index: 1 })
    useBench().evaluation = { ...evaluation, branches: [], things: [] } as Evaluation
    expect(selection.selected).toEqual({ kind: 'joint', index: 1 })
    selection.select('thing', 4)
    expect(selection.selected).toEqual({ kind: 'piece', index: 0 })
  })

  it('slides, sizes and comes off by the same acts', () => {
    const selection = useSelection()
    const acts = useRigActs()
    selection.select('thing', 0)
    acts.slide(2)
    acts.stepSize(1)
    acts.takeOff()
    selection.select('branch', 1)
    acts.slide(1)
    acts.takeOff()
    expect(sent).toEqual([
      { act: 'nudge-thing', thing: 0, steps: -2 },
      { act: 'step-thing', thing: 0, by: 1 },
      { act: 'take-off', thing: 0 },
      { act: 'nudge-dropper', joint: 1, steps: 1 },
      { act: 'remove-dropper', joint: 1 },
    ])
    expect(selection.selected).toEqual({ kind: 'joint', index: 1 })
  })

  it('takes a fly between two pieces only', () => {
    const selection = useSelection()
    const acts = useRigActs()
    selection.select('piece', 0)
    expect(acts.hangs.value).toBe(true)
    selection.select('piece', 1)
    expect(acts.hangs.value).toBe(false)
    selection.select('joint', 0)
    expect(acts.hangs.value).toBe(false)
  })

  it('is dragged by trying each move; a click changes nothing, Escape takes it back', () => {
    const drag = usePreviewDrag()
    const at = (clientX: number) =>
      ({
        clientX,
        clientY: 0,
        pointerId: 1,
        currentTarget: { setPointerCapture: () => {} },
      }) as never
    const made = ({ x }: { x: number }) => ({ act: 'move-thing', thing: 0, above_m: x }) as const
    drag.grab(at(0), made)
    drag.move(at(1))
    drag.end()
    expect(sent).toEqual([])
    drag.grab(at(0), made)
    drag.move(at(30))
    drag.end()
    drag.grab(at(0), made)
    drag.move(at(9))
    drag.cancel()
    drag.move(at(40))
    expect(sent).toEqual([
      { act: 'move-thing', thing: 0, above_m: 30 },
      'settled',
      { act: 'move-thing', thing: 0, above_m: 9 },
      'reverted',
    ])
  })
})
