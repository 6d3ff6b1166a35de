import { describe, expect, it } from 'vitest'
import type { OutlinePart } from '@/api/client'
import { byDoubling, byProportion } from '@/drawing/scales'
import { sideOf, thickest } from '@/drawing/side'
import { fillOf, strokeOf } from '@/drawing/tints'
import { LEFT_PX, RIGHT_PX, useAxis } from '@/bench/strip/useAxis'

const part: OutlinePart = {
  piece: 0,
  material: 'nylon-stiff',
  sighter: false,
  from_m: 0,
  to_m: 2,
  upper_diameter_m: 5e-4,
  lower_diameter_m: 2e-4,
}

describe('the axis', () => {
  it('fits the leader between its margins and reads back', () => {
    const axis = useAxis(1000, { from_m: 0, to_m: 2.5 }).value
    expect(axis.x(0)).toBe(LEFT_PX)
    expect(axis.x(2.5)).toBeCloseTo(1000 - RIGHT_PX)
    expect(axis.m(axis.x(1.7))).toBeCloseTo(1.7)
  })
})

describe('shapes', () => {
  it('are to scale along and around the axis', () => {
    const axis = useAxis(LEFT_PX + RIGHT_PX + 600, { from_m: 0, to_m: 2 }).value
    expect(sideOf(part, axis.x, 50, 20_000)).toBe('M96.0 45.0L696.0 48.0L696.0 52.0L96.0 55.0Z')
  })

  it('never grow too thin to be seen', () => {
    const axis = useAxis(LEFT_PX + RIGHT_PX + 200, { from_m: 0, to_m: 2 }).value
    expect(sideOf(part, axis.x, 50, 1)).toContain('49.3')
  })

  it('know the thickest and the tint of the material', () => {
    expect(thickest([part], [{ ...part, upper_diameter_m: 9e-4 }])).toBe(9e-4)
    expect(thickest([])).toBeGreaterThan(0)
    expect([fillOf('wire-soft'), strokeOf('fluorocarbon'), fillOf('nylon-soft', true)]).toEqual([
      'tint--wire',
      'stroke--fluorocarbon',
      'tint--sighter',
    ])
  })
})

describe('scales', () => {
  it('by proportion and by doubling', () => {
    const plain = byProportion(10, 40)
    expect([plain(0), plain(5), plain(10)]).toEqual([0, 20, 40])
    const doubling = byDoubling(1, 16, 45, 5)
    expect([1, 2, 4, 8, 16].map(doubling)).toEqual([5, 15, 25, 35, 45])
    expect(doubling(0)).toBe(5)
    expect(byDoubling(3, 3, 40)(3)).toBe(5)
  })
})
