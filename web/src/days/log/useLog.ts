import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { Refused } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { inBase64, photoName, shrunk } from '@/widgets/picture'
import { readLogFile } from './logFile'

export type DayLog = Schemas['DayLog']
export type LogLine = Schemas['LogLine']
type Event = Schemas['Event']

/** All days that were fished and what they say; of the events in which the words are. */
export function useLog(q: () => string) {
  const settings = useSettings()
  const query = computed(() => ({ q: q().trim(), units: settings.units }))
  return useQuery({
    queryKey: ['log', query],
    queryFn: () => answered(api.GET('/api/v1/log', { params: { query: query.value } })),
    placeholderData: (before) => before,
  })
}

/** One day as it went. */
export function useDayLog(planId: () => string) {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['log', 'day', computed(planId), units],
    queryFn: () =>
      answered(
        api.GET('/api/v1/log/{plan_id}', {
          params: { path: { plan_id: planId() }, query: { units: units.value } },
        }),
      ),
    enabled: computed(() => !!planId()),
  })
}

const newId = () => crypto.randomUUID().replaceAll('-', '')

/** Correcting and completing a day at the table: nothing is deleted, only told anew. */
export function useLogActs() {
  const queries = useQueryClient()
  const settings = useSettings()

  async function send(events: Event[]) {
    const { new: fresh } = await answered(api.POST('/api/v1/events', { body: { events } }))
    await Promise.all(
      ['log', 'ledger', 'stock'].map((key) => queries.invalidateQueries({ queryKey: [key] })),
    )
    return fresh
  }
  /** Something not recorded on the phone, with the picture of it where there is one. */
  async function add(
    plan_id: string,
    at: number,
    kind: string,
    detail: Event['detail'],
    picture?: Blob,
  ) {
    if (!picture) return send([{ event_id: newId(), plan_id, at, kind, detail }])
    const name = photoName(new Date(at))
    await sendPhoto(plan_id, name, await shrunk(picture))
    return send([{ event_id: newId(), plan_id, at, kind, detail: { ...detail, photo: name } }])
  }
  async function sendPhoto(plan_id: string, name: string, photo: Blob) {
    const body = { plan_id, name, image: await inBase64(photo) }
    return (await answered(api.POST('/api/v1/photos', { body }))).new
  }
  async function dropPhoto(name: string) {
    await answered(api.DELETE('/api/v1/photos/{name}', { params: { path: { name } } }))
    await queries.invalidateQueries({ queryKey: ['log'] })
  }
  const takeBack = (plan_id: string, line: LogLine) =>
    send([
      {
        event_id: newId(),
        plan_id,
        at: Date.now(),
        kind: 'taken-back',
        detail: { undoes: line.event_id },
      },
    ])

  /** The own cast learns from a day's landings, each once; answers from how many. */
  async function learn(plan_id: string): Promise<number> {
    const landings = await answered(
      api.GET('/api/v1/log/{plan_id}/landings', { params: { path: { plan_id } } }),
    )
    let learnt = 0
    for (const landing of landings) {
      const { event_id, design, landed } = landing
      const body = { bench: 'log', event_id, design, landed, units: settings.units }
      try {
        await answered(api.POST('/api/v1/own-cast/landings', { body }))
        learnt += 1
      } catch (error) {
        if (!(error instanceof Refused)) throw error // a mono rig tells nothing of a stroke
      }
    }
    await queries.invalidateQueries({ queryKey: ['own-cast'] })
    return learnt
  }

  /** The log that a phone saved, alone or with its photos; answers how many events and photos of
      it were new. */
  async function readIn(file: Blob) {
    const { log, photos } = await readLogFile(file)
    let freshPhotos = 0
    for (const { detail, plan_id } of log) {
      const photo = detail?.photo && photos.get(detail.photo)
      if (photo && (await sendPhoto(plan_id, detail.photo!, photo))) freshPhotos += 1
    }
    return { events: await send(log), photos: freshPhotos }
  }

  return { add, takeBack, readIn, learn, dropPhoto }
}
