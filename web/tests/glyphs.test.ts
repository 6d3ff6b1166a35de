import { expect, it } from 'vitest'
import knots from '@generated/knots.json'
import { PATHS } from '@/bench/strip/glyphs'

it('every knot that joins two pieces has its own glyph on the strip', () => {
  const joins = knots.filter(({ place }) => place === 'between' || place === 'line')
  expect(joins.length).toBeGreaterThan(4)
  expect(joins.filter(({ key }) => !PATHS[key]).map(({ key }) => key)).toEqual([])
})
