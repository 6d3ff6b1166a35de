import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, shallowRef, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'

export type PlaceReading = Schemas['PlaceReading']
export type StretchReading = Schemas['StretchReading']
export type StretchForm = Omit<Schemas['StretchForm'], 'units'>

/** High and low water of a day and the time it is for, as typed. */
export interface TideTyped {
  high: string
  low: string
  at: string
}

/** All waters, by name. */
export function usePlaces() {
  return useQuery({
    queryKey: ['places'],
    queryFn: () => answered(api.GET('/api/v1/places')),
  })
}

/** One water at a level as typed, or as it usually is; the last that was read stays where a level
 * is refused. */
export function usePlace(placeId: () => string, level: () => string, tide: () => TideTyped) {
  const settings = useSettings()
  const query = computed(() => ({ level: level().trim(), ...tide(), units: settings.units }))
  const { data, error } = useQuery({
    queryKey: ['place', computed(placeId), query],
    queryFn: () =>
      answered(
        api.GET('/api/v1/places/{place_id}', {
          params: { path: { place_id: placeId() }, query: query.value },
        }),
      ),
    enabled: computed(() => !!placeId()),
    retry: false,
  })
  const water = shallowRef<PlaceReading>()
  watch(
    data,
    (now) => {
      if (now) water.value = now
    },
    { immediate: true },
  )
  return { water, error }
}

/** When it is light at a water whose place on the map is known. */
export function useLight(placeId: () => string, known: () => boolean) {
  return useQuery({
    queryKey: ['light', computed(placeId)],
    queryFn: () =>
      answered(
        api.GET('/api/v1/places/{place_id}/light', { params: { path: { place_id: placeId() } } }),
      ),
    enabled: computed(known),
    retry: false,
  })
}

/** What is done with a water; what is refused is thrown. */
export function usePlaceActs(placeId: () => string) {
  const settings = useSettings()
  const queries = useQueryClient()
  const once = useIntent()
  const path = () => ({ place_id: placeId() })

  async function anew<T>(work: Promise<T>): Promise<T> {
    const done = await work
    await Promise.all(
      ['places', 'place'].map((key) => queries.invalidateQueries({ queryKey: [key] })),
    )
    return done
  }

  const add = (form: Schemas['PlaceForm']) =>
    anew(
      once(form, (header) =>
        answered(api.POST('/api/v1/places', { params: { header }, body: form })),
      ),
    )
  const write = (form: Schemas['PlaceForm']) =>
    anew(answered(api.PUT('/api/v1/places/{place_id}', { params: { path: path() }, body: form })))
  const forget = () =>
    anew(answered(api.DELETE('/api/v1/places/{place_id}', { params: { path: path() } })))
  const putStretch = (form: StretchForm) => {
    const body = { ...form, units: settings.units }
    return anew(
      once([path(), body], (header) =>
        answered(
          api.POST('/api/v1/places/{place_id}/stretches', {
            params: { path: path(), header },
            body,
          }),
        ),
      ),
    )
  }
  const dropStretch = (stretch_id: string) =>
    anew(
      answered(
        api.DELETE('/api/v1/places/{place_id}/stretches/{stretch_id}', {
          params: { path: { ...path(), stretch_id } },
        }),
      ),
    )
  const noteLevel = (stretch_id: string, form: Omit<Schemas['LevelForm'], 'units'>) => {
    const body = { ...form, units: settings.units }
    return anew(
      once([path(), stretch_id, body], (header) =>
        answered(
          api.POST('/api/v1/places/{place_id}/stretches/{stretch_id}/levels', {
            params: { path: { ...path(), stretch_id }, header },
            body,
          }),
        ),
      ),
    )
  }
  const dropLevel = (stretch_id: string, number: number) =>
    anew(
      answered(
        api.DELETE('/api/v1/places/{place_id}/stretches/{stretch_id}/levels/{number}', {
          params: { path: { ...path(), stretch_id, number } },
        }),
      ),
    )
  const putGauge = (form: Schemas['GaugeForm']) =>
    anew(
      answered(
        api.PUT('/api/v1/places/{place_id}/gauge', { params: { path: path() }, body: form }),
      ),
    )
  const readGauge = () =>
    answered(
      api.GET('/api/v1/places/{place_id}/level', {
        params: { path: path(), query: { units: settings.units } },
      }),
    )

  return { add, write, forget, putStretch, dropStretch, noteLevel, dropLevel, putGauge, readGauge }
}
