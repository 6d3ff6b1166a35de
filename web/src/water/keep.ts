/** What the phone keeps: days as they were packed, and events, each by its own id, never changed. */
import { createStore, entries, get, set, setMany, type UseStore } from 'idb-keyval'
import { toRaw } from 'vue'
import type { Schemas } from '@/api/client'
import { plain } from '@/api/plain'
import type { DayEvent } from './state'

export type DayPack = Schemas['DayPack']

interface Kept {
  event: DayEvent
  sent: boolean
}

// where the browser refuses to keep anything, each of these is refused when it is waited for
const stores: Record<string, UseStore> = {}
const store = (name: string) => (stores[name] ??= createStore(`nine-knots-water-${name}`, name))

/** Keeps a day as it was packed at that time; empty where the time isn’t known. */
export async function keepPack(pack: DayPack, packedAt = '') {
  await set(pack.plan_id, plain(pack), store('packs'))
  await set(pack.plan_id, packedAt, store('packed-at'))
}
export const packedAtHere = async (): Promise<Record<string, string>> =>
  Object.fromEntries(await entries<string, string>(store('packed-at')))
export const readPack = async (planId: string) => get<DayPack>(planId, store('packs'))

/** Days that are kept here, the latest first. */
export async function packsHere(): Promise<DayPack[]> {
  const found = await entries<string, DayPack>(store('packs'))
  return found.map(([, pack]) => pack).sort((item, other) => (item.on < other.on ? 1 : -1))
}

const keepAll = async (events: DayEvent[], sent: boolean) =>
  setMany(
    events.map((event) => [event.event_id, { event: plain(event), sent } satisfies Kept]),
    store('events'),
  )

/** Keeps what was noted here, all of it or none. */
export const keepEvents = async (events: DayEvent[]) => keepAll(events, false)

/** Events that came from elsewhere, or that the bench has: nothing of them is to be sent. */
export const keepSent = async (events: DayEvent[]) => keepAll(events, true)

export async function readEvents(planId: string): Promise<{ all: DayEvent[]; unsent: DayEvent[] }> {
  const found = (await entries<string, Kept>(store('events')))
    .map(([, kept]) => kept)
    .filter(({ event }) => event.plan_id === planId)
  return {
    all: found.map(({ event }) => event),
    unsent: found.filter(({ sent }) => !sent).map(({ event }) => event),
  }
}

export interface KeptPhoto {
  name: string
  plan_id: string
  photo: Blob
  sent: boolean
}
export const keepPhoto = async (photo: KeptPhoto) =>
  set(photo.name, { ...photo, photo: toRaw(photo.photo) }, store('photos'))

/** Days of which something waits to be sent. */
export async function daysUnsent(): Promise<Set<string>> {
  const found = await entries<string, Kept>(store('events'))
  return new Set(found.filter(([, { sent }]) => !sent).map(([, { event }]) => event.plan_id))
}

/** Photos of a day that were taken with this phone. */
export async function readPhotos(planId: string): Promise<KeptPhoto[]> {
  const found = (await entries<string, KeptPhoto>(store('photos'))).map(([, kept]) => kept)
  return found.filter((found) => found.plan_id === planId)
}

export const keepChoice = async (name: string, value: unknown) =>
  set(name, plain(value), store('choices'))
export const readChoice = async <T>(name: string) => get<T>(name, store('choices'))
