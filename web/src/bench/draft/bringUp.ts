import versions from '@generated/versions.json'
import { answered, api, type Design, type Schemas } from '@/api/client'
import { ServerLost } from '@/api/problems'
import { readDraft, rewriteDraft, setAside, type Draft } from './keep'

/** The version in which this program keeps leaders. */
export const LEADER_VERSION = versions.leader
const AT_ONCE = 100

/** A leader as it is today, or why it cannot be read. */
type Asked = (
  version: number,
  leaders: Design[],
) => Promise<{ leader: Design | null; why: string }[]>

const LOST_MS = 1000

/** A draft that cannot be read, as it is, and why. */
export interface DamagedDraft {
  draft: Draft
  why: string
}

/** The draft of this name, whatever program kept it; one that cannot be read is set aside. */
export async function draftOfToday(
  id: string,
): Promise<{ draft: Draft | null; damaged: DamagedDraft | null }> {
  const kept = await readDraft(id)
  if (!kept) return { draft: null, damaged: null }
  const { draft, why } = await broughtUp(kept)
  if (!draft) {
    await setAside(id)
    return { draft, damaged: { draft: kept, why } }
  }
  if (draft !== kept) await rewriteDraft(id, draft)
  return { draft, damaged: null }
}

async function askPython(version: number, leaders: Design[]) {
  const found = []
  for (let at = 0; at < leaders.length; at += AT_ONCE) {
    const some = leaders.slice(at, at + AT_ONCE) as unknown as Record<string, unknown>[]
    found.push(...(await untilAnswered({ version, leaders: some })))
  }
  return found
}

/** A lost server is waited for: without it nothing is read anyway. */
async function untilAnswered(body: Schemas['OldLeaders']) {
  for (;;) {
    try {
      return await answered(api.POST('/api/v1/stored-values/leaders', { body }))
    } catch (error) {
      if (!(error instanceof ServerLost)) throw error
      await new Promise((resolve) => setTimeout(resolve, LOST_MS))
    }
  }
}

/**
 * A draft that an older program kept, as today's keeps it: every leader in it is brought up by
 * Python. Steps of its history that cannot be read are left out; where the present one cannot,
 * there is no draft, and why.
 */
export async function broughtUp(
  draft: Draft,
  ask: Asked = askPython,
): Promise<{ draft: Draft | null; why: string }> {
  const version = draft.head.version ?? 1
  if (version === LEADER_VERSION) return { draft, why: '' }
  const { saved, ghost } = draft.head
  const links = Object.entries(saved)
  const leaders = [
    ...draft.entries.map((entry) => entry.design),
    ...links.map(([, link]) => link.design),
    ...(ghost ? [ghost] : []),
  ]
  const read = await ask(version, leaders)
  const present = read[draft.head.at]
  if (draft.entries.length && !present?.leader) return { draft: null, why: present?.why ?? '' }
  const readable = draft.entries.flatMap((entry, i) => {
    const design = read[i]?.leader
    return design ? [{ entry: { ...entry, design }, was: i }] : []
  })
  const linked = links.flatMap(([thread, link], i) => {
    const design = read[draft.entries.length + i]?.leader
    return design ? [[thread, { ...link, design }] as const] : []
  })
  const head = {
    ...draft.head,
    version: LEADER_VERSION,
    at: readable.findIndex(({ was }) => was === draft.head.at),
    top: readable.length - 1,
    saved: Object.fromEntries(linked),
    ghost: ghost ? (read.at(-1)?.leader ?? null) : null,
  }
  return { draft: { head, entries: readable.map(({ entry }) => entry) }, why: '' }
}
