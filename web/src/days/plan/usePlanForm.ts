import { computed, watch } from 'vue'
import type { Kit, Schemas, Situation } from '@/api/client'
import { plain } from '@/api/plain'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import type { PlanForm } from './usePlans'

const MORNING = 9
const HOURS = 2
const A_DAY_MS = 86_400_000

const clock = (hour: number) => `${String(Math.min(23, hour)).padStart(2, '0')}:00`

/** A plan begun from the day on the bench: its fly, outfit, fish and wind, on a first water. */
export function planBegun(
  kit: Kit,
  places: Schemas['PlaceCard'][],
  day: Situation | null,
): PlanForm {
  const rod = kit.rods.find((rod) => rod.title === day?.rod.title) ?? kit.rods[0]
  const line = kit.lines.find((line) => line.title === day?.line.title) ?? kit.lines[0]
  const fly = kit.flies.find((fly) => fly.title === day?.fly.title) ?? kit.flies[0]
  const kind = day && day.quarry.kind !== 'other' ? day.quarry.kind : 'trout'
  return {
    title: 'A day out',
    on: new Date(Date.now() + A_DAY_MS).toISOString().slice(0, 10),
    place_id: places[0]?.place_id ?? '',
    level: '',
    high: '',
    low: '',
    wind: 'light breeze',
    bearing: day?.wind.bearing ?? 'upstream',
    temperature: '',
    fish: kind,
    mass: '',
    temper: day?.quarry.temper ?? 'wary',
    outfits: rod && line ? [{ rod: rod.title, line: line.title }] : [],
    flies: fly ? [{ fly: fly.title, wish: day?.wish ?? 'drift on top' }] : [],
    stops: [],
    notes: '',
  }
}

/** A kept plan as it can be typed again. */
export const planTyped = (texts: Schemas['PlanTexts']): PlanForm => plain(texts)

/** The form of one plan: what is typed is kept in this browser till it is kept by the service. */
export function usePlanForm(
  planId: string,
  places: readonly Schemas['PlaceCard'][],
  kept: () => PlanForm | null,
) {
  const draft = useAnglerStorage<PlanForm | null>(`plan-draft.${planId || 'new'}`, null)
  if (draft.value && !places.some((place) => place.place_id === draft.value?.place_id)) {
    // typed for a water that is not here (any more): the rest of the form stays
    draft.value = { ...draft.value, place_id: places[0]?.place_id ?? '', stops: [] }
  }
  const form = computed(() => draft.value ?? kept())
  const changed = computed(
    () => !!draft.value && JSON.stringify(draft.value) !== JSON.stringify(kept()),
  )
  watch(
    kept,
    (now) => {
      if (!draft.value && now) draft.value = plain(now)
    },
    { immediate: true },
  )

  /** The next stretch, after the last and for as long. */
  function addStop(stretchId: string) {
    const stops = draft.value?.stops
    if (!stops) return
    const last = stops.at(-1)
    const begins = last ? last.ends : clock(MORNING)
    const hour = Number(begins.split(':')[0]) || MORNING
    const ends =
      hour + HOURS > 23 ? '23:59' : `${clock(hour + HOURS).slice(0, 3)}${begins.slice(3)}`
    stops.push({ stretch_id: stretchId, begins, ends, fly: null })
  }

  return {
    form,
    changed,
    addStop,
    settled: () => (draft.value = null),
  }
}
