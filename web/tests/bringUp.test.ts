import { describe, expect, it } from 'vitest'
import type { Design } from '@/api/client'
import { broughtUp, LEADER_VERSION } from '@/bench/draft/bringUp'
import {
  draftIds,
  keepDraft,
  readDraft,
  rewriteDraft,
  setAside,
  type Draft,
} from '@/bench/draft/keep'

const design = (title: string) => ({ title }) as Design
const OLD = LEADER_VERSION + 1

function draft(at: number, ...titles: string[]): Draft {
  return {
    head: {
      version: OLD,
      at,
      top: titles.length - 1,
      saved: { t: { leader_id: 'l', revision: 3, design: design('saved') } },
      ghost: design('ghost'),
      waiting: [],
      touched: 1,
    },
    entries: titles.map((title) => ({ thread: 't', design: design(title) })),
  }
}

/** Reads all but those called torn. */
const ask = async (version: number, leaders: Design[]) =>
  leaders.map(({ title }) =>
    title === 'torn'
      ? { leader: null, why: 'Torn.' }
      : { leader: design(`${title} of ${version}`), why: '' },
  )

describe('a draft of another program', () => {
  it('has every leader in it brought up', async () => {
    const { draft: found } = await broughtUp(draft(1, 'a', 'b'), ask)
    expect(found?.entries.map((one) => one.design.title)).toEqual([`a of ${OLD}`, `b of ${OLD}`])
    expect(found?.head.saved.t?.design.title).toBe(`saved of ${OLD}`)
    expect(found?.head.ghost?.title).toBe(`ghost of ${OLD}`)
    expect(found?.head.version).toBe(LEADER_VERSION)
  })

  it('loses only the steps that cannot be read', async () => {
    const { draft: found } = await broughtUp(draft(2, 'torn', 'b', 'c'), ask)
    expect(found?.entries).toHaveLength(2)
    expect([found?.head.at, found?.head.top]).toEqual([1, 1])
  })

  it('is none where the present step cannot be read, and says why', async () => {
    expect(await broughtUp(draft(1, 'a', 'torn'), ask)).toEqual({ draft: null, why: 'Torn.' })
  })

  it('of today is asked nothing of', async () => {
    const mine = draft(0, 'a')
    mine.head.version = LEADER_VERSION
    const { draft: found } = await broughtUp(mine, () => Promise.reject(new Error('asked')))
    expect(found).toBe(mine)
  })

  it('is rewritten, or set aside where no tab opens it again', async () => {
    const made = draft(0, 'a', 'b')
    await keepDraft('again', made.head, made.entries[0]!)
    await rewriteDraft('again', made)
    expect((await readDraft('again'))?.entries).toHaveLength(2)
    await setAside('again')
    expect(await readDraft('again')).toBeNull()
    expect(await draftIds()).not.toContain('again')
  })
})
