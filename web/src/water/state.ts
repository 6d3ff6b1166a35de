import type { Schemas } from '@/api/client'

export type DayEvent = Schemas['Event']
export type EventKind = Schemas['EventKind']
type Effect = Schemas['RigEffect']

export interface RigNow {
  cuts: number
  wear: Effect['wear']
  gone: Effect['ends']
  fish: number
}

export interface DayNow {
  stretch: string
  rig: string
  fly: string
  setting: number | null
  level: number | null
  rigs: Record<string, RigNow>
  /** Events that stand, in the order of their times. */
  stands: DayEvent[]
}

const WEARS: Effect['wear'][] = ['new', 'fished', 'nicked', 'wind knot']
const ENDS: Effect['ends'][] = ['', 'tippet', 'lower', 'rig']
const NEW: RigNow = { cuts: 0, wear: 'new', gone: '', fish: 0 }

const further = <T>(row: T[], one: T, other: T) =>
  row.indexOf(other) > row.indexOf(one) ? other : one
const earlier = (one: DayEvent, other: DayEvent) =>
  one.at - other.at || (one.event_id < other.event_id ? -1 : 1)

/** Each event once, in order, without those that were taken back. */
export function standing(events: DayEvent[]): DayEvent[] {
  const once = new Map(events.map((event) => [event.event_id, event]))
  const inOrder = [...once.values()].sort(earlier)
  const gone = new Set<string>()
  for (const event of [...inOrder].reverse())
    if (event.kind === 'taken-back' && !gone.has(event.event_id) && event.detail?.undoes)
      gone.add(event.detail.undoes)
  return inOrder.filter((item) => !gone.has(item.event_id) && item.kind !== 'taken-back')
}

/**
 * How many things the bench doesn’t know yet. An event that was told in more detail is one thing, one
 * that was undone before it was sent is none, and a photo goes with its event.
 */
export function unsentCount(
  all: DayEvent[],
  unsent: DayEvent[],
  photos: ReadonlySet<string> = new Set(),
): number {
  const waiting = new Set(unsent.map((event) => event.event_id))
  const known = all.filter((item) => !waiting.has(item.event_id))
  const photoOf = (event: DayEvent) =>
    (event.detail?.photo && photos.has(event.detail.photo)) || false
  const stands = standing(all)
  const here = new Set(stands.map((event) => event.event_id))
  const told = stands.filter((event) => waiting.has(event.event_id) || photoOf(event))
  const undone = standing(known).filter((item) => !here.has(item.event_id))
  const retold = undone.filter((item) =>
    told.some(({ kind, at }) => kind === item.kind && at === item.at),
  )
  return told.length + undone.length - retold.length
}

function effectOf(kind: EventKind | undefined, place: string | null | undefined): Effect | null {
  const there = kind?.by_place.find((row) => row[0] === place)
  return (there?.[1] as Effect | undefined) ?? kind?.effect ?? null
}

function after(rig: RigNow, effect: Effect): RigNow {
  if (effect.renews) return { ...NEW, fish: rig.fish }
  return {
    cuts: rig.cuts + effect.cuts,
    wear: further(WEARS, rig.wear, effect.wear),
    gone: further(ENDS, rig.gone, effect.ends),
    fish: rig.fish + effect.fish,
  }
}

/** The day after all events: counted by what the pack says each kind does. The same is counted in
 * Python, by the same cases. */
export function dayNow(
  events: DayEvent[],
  kinds: EventKind[],
  begun: { stretch: string; rig: string; fly: string },
): DayNow {
  const stands = standing(events)
  const byKey = new Map(kinds.map((kind) => [kind.key, kind]))
  const now: DayNow = {
    ...begun,
    setting: null,
    level: null,
    rigs: begun.rig ? { [begun.rig]: NEW } : {},
    stands,
  }
  for (const event of stands) {
    const told = event.detail ?? {}
    const effect = effectOf(byKey.get(event.kind), told.place)
    if (!effect) continue
    if (effect.takes_up) {
      now.rig = told.rig || now.rig
      now.setting = null
      if (now.rigs[now.rig]?.gone) now.rigs[now.rig] = NEW
    }
    now.stretch = told.stretch || now.stretch
    now.fly = told.fly || now.fly
    now.setting = told.setting ?? now.setting
    now.level = told.level ?? now.level
    if (now.rig) now.rigs[now.rig] = after(now.rigs[now.rig] ?? NEW, effect)
  }
  return now
}
