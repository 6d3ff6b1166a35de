/** Drafts in this browser's IndexedDB: one head a draft, and each entry of its history by number. */
import { createStore, del, get, getMany, keys, setMany, type UseStore } from 'idb-keyval'
import type { Design } from '@/api/client'
import { plain } from '@/api/plain'
import type { Change } from './change'
import type { Place } from './history'

export interface SavedAs {
  leader_id: string
  revision: number
  design: Design
}

/**
 * One state of the bench. A thread is one leader's life on it: opening another one begins a new
 * thread, so that undo back across the opening finds what was saved of the leader before.
 */
export interface Entry {
  thread: string
  design: Design
}

export interface Head extends Place {
  /** Of the leaders in it; those that were kept before versions were told are of the first. */
  version?: number
  saved: Record<string, SavedAs>
  ghost: Design | null
  waiting: Change[]
  touched: number
}

export interface Draft {
  head: Head
  entries: Entry[]
}

let opened: UseStore | undefined
const store = () => (opened ??= createStore('nine-knots', 'drafts'))

const headKey = (id: string) => `${id}/head`
const entryKey = (id: string, number: number) => `${id}/${number}`

export async function readDraft(id: string): Promise<Draft | null> {
  const head = await get<Head>(headKey(id), store())
  if (!head) return null
  const numbers = Array.from({ length: head.top + 1 }, (_, i) => entryKey(id, i))
  const entries = await getMany<Entry>(numbers, store())
  return entries.every(Boolean) ? { head, entries: entries as Entry[] } : null
}

/**
 * Keeps the head and the present entry; the other entries are stored already. A bench that is still
 * empty has no entry, only changes that wait.
 */
export async function keepDraft(id: string, head: Head, present?: Entry): Promise<void> {
  const entries: [string, unknown][] = present ? [[entryKey(id, head.at), plain(present)]] : []
  await setMany([...entries, [headKey(id), plain(head)]], store())
}

/** Keeps every entry anew: those of an older program, brought up to date. */
export async function rewriteDraft(id: string, { head, entries }: Draft): Promise<void> {
  const numbered = entries.map((entry, i) => [entryKey(id, i), plain(entry)] as [string, unknown])
  await setMany([...numbered, [headKey(id), plain(head)]], store())
}

/** Puts a draft that cannot be read out of the way: it stays in the browser, and no tab opens it. */
export async function setAside(id: string): Promise<void> {
  const head = await get<Head>(headKey(id), store())
  await setMany([[`${id}/set-aside`, head]], store())
  await del(headKey(id), store())
}

/** Ids of the drafts kept, last touched first. */
export async function draftIds(): Promise<string[]> {
  const heads = (await keys<string>(store())).filter((key) => key.endsWith('/head'))
  const found = await getMany<Head>(heads, store())
  return heads
    .map((key, i) => ({ id: key.slice(0, -'/head'.length), touched: found[i]?.touched ?? 0 }))
    .sort((a, b) => b.touched - a.touched)
    .map(({ id }) => id)
}
