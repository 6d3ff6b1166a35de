import { describe, expect, it } from 'vitest'
import { around, placed, roomOf } from '@/drawing/labels'
import { atLeast, NARROW, useAxis } from '@/bench/strip/useAxis'
import { dayText, withDays } from '@/widgets/dayText'

describe('labels', () => {
  const label = (key: string, x: number, y: number) => ({ key, text: key, spots: around(x, y) })

  it('keep apart, inside the width and off what is drawn', () => {
    const [one, other] = placed([label('4 s', 50, 50), label('5 s', 52, 51)], 200)
    const [a, b] = [roomOf('4 s', one!), roomOf('5 s', other!)]
    expect(a.right < b.left || b.right < a.left || a.bottom < b.top || b.bottom < a.top).toBe(true)
    const atEdge = placed([label('a long label', 195, 50)], 200)[0]!
    expect(roomOf(atEdge.text, atEdge).right).toBeLessThanOrEqual(200)
    const line = Array.from({ length: 60 }, (_, i) => [i, 45] as const)
    const off = placed([label('4 s', 20, 50)], 200, line)[0]!
    expect(off.y).not.toBe(45)
  })

  it('without a free spot are left out', () => {
    const crowd = Array.from({ length: 30 }, (_, i) => label(`${i} s`, 50, 50))
    const found = placed(crowd, 200)
    expect(found.length).toBeGreaterThan(1)
    expect(found.length).toBeLessThan(10)
  })
})

describe('a narrow axis', () => {
  const joints = [0, 1.1, 1.65, 1.83, 2.0, 2.2, 2.74]
  const axis = useAxis(348, { from_m: 0, to_m: 2.74 }, joints).value

  it('spreads short pieces so that each can be touched, and reads back', () => {
    const px = joints.map(axis.x)
    expect(Math.min(...px.slice(1).map((at, i) => at - px[i]!))).toBeGreaterThan(26)
    expect(px.at(-1)).toBeCloseTo(348 - NARROW.right_px)
    expect(axis.spread).toBe(true)
    for (const at of [-0.2, 0.4, 1.7, 2.9]) expect(axis.m(axis.x(at))).toBeCloseTo(at)
  })

  it('is to scale where there is room, or nothing is short', () => {
    expect(useAxis(900, { from_m: 0, to_m: 2.74 }, joints).value.spread).toBe(false)
    expect(useAxis(348, { from_m: 0, to_m: 2 }, [0, 1, 2]).value.spread).toBe(false)
    expect(atLeast([1, 1, 98], 20, 100)).toEqual([20, 20, 60])
    expect(atLeast([1, 1, 1, 1], 50, 100)).toEqual([25, 25, 25, 25])
  })
})

describe('days', () => {
  it('are the reader’s, also inside a sentence', () => {
    expect(withDays('Last time here, 2026-08-22: one fish.')).toBe(
      `Last time here, ${dayText('2026-08-22')}: one fish.`,
    )
    expect(dayText('2026-08-22')).toMatch(/22/) // that day in every time zone
    expect(dayText('2026-08-22')).not.toContain('2026-08')
  })
})
