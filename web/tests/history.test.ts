import { describe, expect, it } from 'vitest'
import { History } from '@/bench/draft/history'

describe('history', () => {
  it('goes back and forth without limit', () => {
    const past = new History([0])
    for (let n = 1; n <= 300; n += 1) past.push(n)
    for (let n = 0; n < 300; n += 1) past.undo()
    expect([past.present, past.canUndo, past.canRedo]).toEqual([0, false, true])
    expect(past.undo()).toBe(0)
    for (let n = 0; n < 301; n += 1) past.redo()
    expect(past.present).toBe(300)
  })

  it('drops what lay ahead when something new is done', () => {
    const past = new History(['a', 'b', 'c'])
    past.undo()
    past.push('d')
    expect(past.place).toEqual({ at: 2, top: 2 })
    expect([past.canRedo, past.undo()]).toEqual([false, 'b'])
  })

  it('takes repeats of one gesture within a moment as one step', () => {
    const past = new History(['start'])
    past.push('a', 'nudge 1', 1000)
    past.push('b', 'nudge 1', 1300)
    past.push('c', 'nudge 1', 9000)
    past.push('d', 'nudge 2', 9100)
    expect([past.undo(), past.undo(), past.undo()]).toEqual(['c', 'b', 'start'])
  })

  it('begins a new step after an undo, even for the same gesture', () => {
    const past = new History(['start'])
    past.push('a', 'nudge 1', 0)
    past.push('b', '', 10)
    past.undo()
    past.push('c', 'nudge 1', 20)
    expect(past.undo()).toBe('a')
  })

  it('starts in the middle where a draft left off, and refuses to be empty', () => {
    expect(new History(['a', 'b', 'c'], 1).present).toBe('b')
    expect(() => new History([])).toThrow(RangeError)
    expect(() => new History(['a'], 3)).toThrow(RangeError)
  })
})
