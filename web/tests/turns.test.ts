import { describe, expect, it } from 'vitest'
import { Turns } from '@/bench/draft/turns'

/** A run that ends each change when told to. */
function byHand() {
  const begun: string[] = []
  const open: { end: () => void; fail: (e: Error) => void }[] = []
  const run = (change: string) => {
    begun.push(change)
    return new Promise<void>((end, fail) => open.push({ end, fail }))
  }
  return { begun, run, next: () => open.shift() }
}

const soon = () => new Promise((resolve) => setTimeout(resolve))

describe('turns', () => {
  it('run one at a time, in order', async () => {
    const { begun, run, next } = byHand()
    const turns = new Turns(run)
    const all = ['a', 'b', 'c'].map((change) => turns.add(change))
    expect(begun).toEqual(['a'])
    expect(turns.unfinished).toEqual(['a', 'b', 'c'])
    next()?.end()
    await all[0]
    expect(begun).toEqual(['a', 'b'])
    next()?.end()
    await all[1]
    next()?.end()
    await all[2]
    expect(turns.unfinished).toEqual([])
  })

  it('of a drag only the newest waiting step runs', async () => {
    const { begun, run, next } = byHand()
    const turns = new Turns(run)
    const steps = ['1', '2', '3', '4'].map((step) => turns.add(step, 'drag'))
    const last = turns.add('settle')
    next()?.end()
    await Promise.all(steps.slice(0, 3))
    next()?.end()
    await steps[3]
    next()?.end()
    await last
    expect(begun).toEqual(['1', '4', 'settle'])
  })

  it('a refused one fails by itself and lets the next through', async () => {
    const { begun, run, next } = byHand()
    const turns = new Turns(run)
    const bad = turns.add('bad')
    const good = turns.add('good')
    next()?.fail(new Error('refused'))
    await expect(bad).rejects.toThrow('refused')
    next()?.end()
    await good
    expect(begun).toEqual(['bad', 'good'])
  })

  it('what is done is kept before its promise settles, without holding up the next', async () => {
    const { begun, run, next } = byHand()
    let kept: string[] | undefined
    let release = () => {}
    const turns: Turns<string> = new Turns(run, () => {
      kept = turns.unfinished
      return new Promise<void>((resolve) => (release = resolve))
    })
    let settled = false
    void turns.add('a').then(() => (settled = true))
    void turns.add('b')
    next()?.end()
    await soon()
    expect(kept).toEqual(['b'])
    expect([settled, begun]).toEqual([false, ['a', 'b']])
    release()
    await soon()
    expect(settled).toBe(true)
  })

  it('settle also where keeping fails', async () => {
    const { run, next } = byHand()
    const turns = new Turns(run, () => Promise.reject(new Error('full')))
    const done = turns.add('a')
    next()?.end()
    await done
    expect(turns.unfinished).toEqual([])
  })

  it('are settled once everything asked for so far is done or refused', async () => {
    const { run, next } = byHand()
    const turns = new Turns(run)
    turns.add('a').catch(() => undefined)
    turns.add('b')
    let settled = false
    const waited = turns.settled().then(() => (settled = true))
    next()?.fail(new Error('no'))
    await soon()
    expect(settled).toBe(false)
    next()?.end()
    await waited
    expect(settled).toBe(true)
    await turns.settled()
  })
})
