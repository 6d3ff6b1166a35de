import { describe, expect, it } from 'vitest'
import { reactive, readonly } from 'vue'
import type { Design } from '@/api/client'
import { altered, surviving, tagOf, type Change } from '@/bench/draft/change'
import { draftIds, keepDraft, readDraft, type Entry, type Head } from '@/bench/draft/keep'

const entry = (title: string): Entry => ({ thread: 't', design: { title } as Design })
const head = (at: number, top: number, touched = 1): Head => ({
  at,
  top,
  saved: {},
  ghost: null,
  waiting: [],
  touched,
})

describe('drafts in the browser', () => {
  it('come back with their whole history', async () => {
    await keepDraft('one', head(0, 0), entry('a'))
    await keepDraft('one', head(1, 1), entry('b'))
    await keepDraft('one', head(0, 1), entry('a'))
    const found = await readDraft('one')
    expect(found?.head.at).toBe(0)
    expect(found?.entries.map(({ design }) => design.title)).toEqual(['a', 'b'])
  })

  it('forget what was dropped ahead', async () => {
    await keepDraft('two', head(0, 0), entry('a'))
    await keepDraft('two', head(1, 1), entry('b'))
    await keepDraft('two', head(2, 2), entry('c'))
    await keepDraft('two', head(1, 1), entry('d'))
    expect((await readDraft('two'))?.entries.map((e) => e.design.title)).toEqual(['a', 'd'])
  })

  it('take values that come as proxies, from a form or an answer', async () => {
    const fly = readonly(reactive({ title: 'sedge', hook: { size: 14 } }))
    const waiting = [{ kind: 'day', at: ['fly'], part: fly }] as unknown as Change[]
    await keepDraft('proxies', { ...head(0, 0), waiting: reactive(waiting) }, entry('a'))
    expect((await readDraft('proxies'))?.head.waiting).toEqual(waiting)
  })

  it('of an empty bench hold what waits', async () => {
    const waiting: Change[] = [{ kind: 'open', design: entry('a').design, saved: null }]
    await keepDraft('empty', { ...head(-1, -1), waiting })
    expect(await readDraft('empty')).toMatchObject({ entries: [], head: { waiting } })
  })

  it('are listed last touched first, and one with a hole is not read', async () => {
    await keepDraft('old', head(0, 0, 5), entry('a'))
    await keepDraft('new', head(0, 0, 9), entry('a'))
    await keepDraft('torn', head(3, 3, 1), entry('d'))
    const ids = await draftIds()
    expect(ids.indexOf('new')).toBeLessThan(ids.indexOf('old'))
    expect(await readDraft('torn')).toBeNull()
    expect(await readDraft('never')).toBeNull()
  })
})

describe('changes', () => {
  it('that mean something after a reload survive it', () => {
    const kinds: Change[] = [
      { kind: 'edit', edit: { act: 'split', piece: 0, share: 0.5 } },
      { kind: 'undo' },
      { kind: 'preview', edit: { act: 'move-joint', joint: 1, to_m: 1 } },
      { kind: 'settle' },
      { kind: 'read' },
    ]
    expect(surviving(kinds)).toEqual([
      kinds[0],
      kinds[1],
      { kind: 'edit', edit: { act: 'move-joint', joint: 1, to_m: 1 } },
    ])
  })

  it('of a drag in the hand, or called off, do not survive', () => {
    const drag = (to_m: number): Change => ({
      kind: 'preview',
      edit: { act: 'move-joint', joint: 1, to_m },
    })
    expect(surviving([drag(1), drag(2)])).toEqual([])
    expect(surviving([drag(1), { kind: 'revert' }, { kind: 'settle' }])).toEqual([])
    const [kept] = surviving([drag(1), drag(2), { kind: 'settle' }])
    expect(kept).toMatchObject({ kind: 'edit', edit: { to_m: 2 } })
  })

  it('that repeat carry the same tag', () => {
    const nudge = (joint: number): Change => ({
      kind: 'edit',
      edit: { act: 'nudge-joint', joint, steps: 1 },
    })
    expect(tagOf(nudge(1))).toBe(tagOf(nudge(1)))
    expect(tagOf(nudge(1))).not.toBe(tagOf(nudge(2)))
    expect(tagOf({ kind: 'put', part: { notes: 'x' } })).toBe('notes')
    expect(tagOf({ kind: 'undo' })).toBe('')
  })

  it('of a part of the day leave what was said before', () => {
    const day = { quarry: { mass_kg: 2, own: { title: 'fish', teeth: 'none' } }, wish: 'swing' }
    const named = altered(day, ['quarry', 'own'], { title: 'wolf fish' })
    const toothed = altered(named, ['quarry', 'own'], { teeth: 'cutting' })
    expect(toothed).toEqual({
      quarry: { mass_kg: 2, own: { title: 'wolf fish', teeth: 'cutting' } },
      wish: 'swing',
    })
    expect(altered(toothed, [], { wish: 'strip' }).quarry).toBe(toothed.quarry)
    expect(day.quarry.own.title).toBe('fish')
  })
})
