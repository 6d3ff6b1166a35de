import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { dayNow, type DayEvent, type EventKind } from '@/water/state'

interface Case {
  name: string
  stretch: string
  rig: string
  fly: string
  events: DayEvent[]
  now: Record<string, unknown>
}
const read = <T>(path: string) =>
  JSON.parse(readFileSync(new URL(path, import.meta.url), 'utf-8')) as T
const CASES = read<Case[]>('../../tests/cases/rig-state.json')
const KINDS = read<EventKind[]>('../generated/event-kinds.json')

describe('a day counted on the phone', () => {
  it.each(CASES)('$name', ({ stretch, rig, fly, events, now }) => {
    for (const order of [events, [...events].reverse(), [...events, ...events]]) {
      const { stands, ...found } = dayNow(order, KINDS, { stretch, rig, fly })
      expect({ ...found, stands: stands.map((one) => one.event_id) }).toEqual(now)
    }
  })
})
