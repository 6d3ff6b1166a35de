import { computed, ref, shallowRef } from 'vue'
import { inBase64 } from '@/widgets/picture'
import {
  keepEvents,
  keepPack,
  keepPhoto,
  keepSent,
  readEvents,
  readPack,
  readPhotos,
  type DayPack,
  type KeptPhoto,
} from './keep'
import { fetchPacks } from './fetchPacks'
import { dayNow, unsentCount, type DayEvent, type DayNow } from './state'

const BENCH_WAITS_MS = 8000
const AT_ONCE = 500
export type Detail = NonNullable<DayEvent['detail']>

/** Where a day comes from: out of a file that was packed as one, or from the bench and this phone. */
export const packInFile = (): DayPack | null => {
  const text = document.getElementById('pack')?.textContent
  return text ? (JSON.parse(text) as DayPack) : null
}
export const isFile = () => location.protocol === 'file:' || !!document.getElementById('pack')

/** An id of its own, also where a file is not taken for a safe place. */
const newId = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('')

/** One day at the water: its pack, what happened, where it stands, and what waits to be sent. */
export function useDay(planId: string) {
  const pack = shallowRef<DayPack | null>(null)
  const events = shallowRef<DayEvent[]>([])
  const unsent = ref(0)
  const trouble = ref('')
  /** Whether the bench answers; null while it was not asked yet. */
  const reached = ref<boolean | null>(null)
  const missing = ref('')

  const now = computed<DayNow | null>(() => {
    const first = pack.value?.stops[0]
    if (!pack.value || !first) return null
    const begun = { stretch: first.stretch_id, rig: first.rig, fly: first.fly }
    return dayNow(events.value, pack.value.happenings, begun)
  })

  async function open() {
    try {
      pack.value = packInFile() ?? (await readPack(planId)) ?? null
      await read()
    } catch {
      trouble.value =
        'This phone can’t store anything here: what you record is lost with the page. Allow it to store ' +
        'data, free some space, or write on paper.'
    }
    void navigator.storage?.persist?.().catch(() => false)
    await meet()
  }

  async function read() {
    const kept = await readEvents(pack.value?.plan_id ?? planId)
    const here = new Map(events.value.map((event) => [event.event_id, event]))
    for (const event of kept.all) here.set(event.event_id, event)
    events.value = [...here.values()]
    const photos = new Set((await photosWaiting()).map(({ name }) => name))
    unsent.value = unsentCount(events.value, kept.unsent, photos)
  }

  /** Photos that an event tells of, and that are on this phone only. */
  async function photosWaiting(): Promise<KeptPhoto[]> {
    const told = new Set(events.value.map((event) => event.detail?.photo))
    const kept = await readPhotos(pack.value?.plan_id ?? planId)
    return kept.filter((kept) => !kept.sent && told.has(kept.name))
  }

  const eventOf = (kind: string, detail: Detail, at = Date.now()): DayEvent => ({
    event_id: newId(),
    plan_id: pack.value?.plan_id ?? planId,
    at,
    kind,
    detail,
  })

  /** Shows events at once; they are kept, all or none, before anything is sent. */
  async function keep(noted: DayEvent[]) {
    events.value = [...events.value, ...noted]
    try {
      await keepEvents(noted)
      await read()
    } catch {
      trouble.value =
        'This wasn’t saved: the phone is full, or doesn’t allow storage here. Write it down, and free some ' +
        'room.'
    }
    void meet()
  }

  async function note(kind: string, detail: Detail = {}): Promise<DayEvent> {
    const event = eventOf(kind, detail)
    await keep([event])
    return event
  }

  /** The same event told in full, and its first telling taken back. */
  const tellMore = (event: DayEvent, detail: Detail) =>
    keep([eventOf(event.kind, detail, event.at), eventOf('taken-back', { undoes: event.event_id })])
  const takeBack = (event: DayEvent) => note('taken-back', { undoes: event.event_id })

  let meeting: Promise<void> | null = null
  let more = false
  /** Sends what waits and hears of the other phone, where the bench is in reach; what is noted
   * meanwhile is sent right after. */
  function meet(): Promise<void> {
    if (meeting) more = true
    else
      meeting = meetBench().finally(() => {
        meeting = null
        if (more && reached.value) void meet()
        more = false
      })
    return meeting!
  }

  async function meetBench() {
    if (isFile()) return
    try {
      if (!pack.value || !reached.value) await fetchPack()
      const { unsent: waiting } = await readEvents(planId)
      const sent = await send(waiting)
      const told = await ask<DayEvent[]>(`/api/v1/events?plan_id=${planId}`)
      await keepSent([...told, ...sent])
      await read()
      await sendPhotos()
      reached.value = true
    } catch (error) {
      reached.value = false
      if (!pack.value) missing.value = error instanceof Error ? error.message : ''
    }
  }

  /** Those that the bench took; where it refuses some, each is sent alone, and the others stay. */
  async function send(waiting: DayEvent[]): Promise<DayEvent[]> {
    if (!waiting.length) return []
    if (waiting.length > AT_ONCE) {
      const first = await send(waiting.slice(0, AT_ONCE))
      return [...first, ...(await send(waiting.slice(AT_ONCE)))]
    }
    try {
      await ask('/api/v1/events', { events: waiting })
      return waiting
    } catch (error) {
      if (!(error instanceof RefusedHere)) throw error
      if (waiting.length > 1) return (await Promise.all(waiting.map((item) => send([item])))).flat()
      trouble.value = `The bench refused one event: ${error.message} It stays here.`
      return []
    }
  }

  async function sendPhotos() {
    for (const photo of await photosWaiting()) {
      const { name, plan_id } = photo
      try {
        await ask('/api/v1/photos', { name, plan_id, image: await inBase64(photo.photo) })
      } catch (error) {
        if (!(error instanceof RefusedHere)) throw error
        trouble.value = `The bench refused a photo: ${error.message} It stays here.`
        continue
      }
      await keepPhoto({ ...photo, sent: true })
    }
    await read()
  }

  async function fetchPack() {
    const fresh = await ask<DayPack>(`/api/v1/plans/${planId}/pack`)
    pack.value = fresh
    missing.value = ''
    await keepPack(fresh).catch(() => undefined)
    // the other packed days too: tomorrow's is wanted where there is no signal
    void fetchPacks().catch(() => undefined)
  }

  return {
    pack,
    now,
    events,
    unsent,
    trouble,
    reached,
    missing,
    open,
    note,
    tellMore,
    takeBack,
    meet,
  }
}

export async function ask<T>(path: string, body?: unknown): Promise<T> {
  const asked: RequestInit = { signal: AbortSignal.timeout(BENCH_WAITS_MS) }
  if (body) {
    asked.method = 'POST'
    asked.headers = { 'content-type': 'application/json' }
    asked.body = JSON.stringify(body)
  }
  const response = await fetch(path, asked)
  const said: unknown = await response.json()
  if (!response.ok)
    throw new RefusedHere((said as { detail?: string }).detail ?? 'The bench refused it.')
  return said as T
}

/** The bench was reached, and said no. */
class RefusedHere extends Error {}
