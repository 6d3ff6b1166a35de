import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useBench } from '../useBench'
import { overhead, useCast } from './useCast'

type Answer = Schemas['OwnCastAnswer']
export type Landed = Schemas['LandingForm']['landed']

/** The angler's own cast: what is known of it, and landings to know it better by. */
export function useOwnCast() {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const queries = useQueryClient()
  const units = computed(() => settings.units)
  const key = computed(() => ['own-cast', units.value])
  const busy = ref(false)
  const once = useIntent()
  const { data: own } = useQuery({
    queryKey: key,
    queryFn: () =>
      answered(api.GET('/api/v1/own-cast', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })

  /** Every cast after it is judged by what the service now knows. */
  async function learn(work: () => Promise<Answer>, said: string) {
    busy.value = true
    try {
      queries.setQueryData(key.value, await work())
      cast.learnt += 1
      notify(said)
    } catch (error) {
      notify(inWords(error), 'trouble')
    } finally {
      busy.value = false
    }
  }

  async function tell(landed: Landed) {
    const { design } = bench
    if (!design) return
    const body = {
      bench: 'own-cast',
      design,
      landed,
      stroke: overhead(cast.stroke),
      units: settings.units,
    }
    await learn(
      () =>
        once(body, (header) =>
          answered(api.POST('/api/v1/own-cast/landings', { params: { header }, body })),
        ),
      `Recorded: “${design.title}” ${landed}.`,
    )
  }

  async function forget(id: string) {
    const params = { path: { landing_id: id }, query: { units: settings.units } }
    await learn(
      () => answered(api.DELETE('/api/v1/own-cast/landings/{landing_id}', { params })),
      'That landing is deleted.',
    )
  }

  return { own, busy, tell, forget }
}
