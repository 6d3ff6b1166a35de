import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'

export type PlanForm = Omit<Schemas['PlanForm'], 'units'>
export type PlanReading = Schemas['PlanReading']
export type StopReading = Schemas['StopReading']

/** All planned days, the latest first. */
export function usePlans() {
  return useQuery({ queryKey: ['plans'], queryFn: () => answered(api.GET('/api/v1/plans')) })
}

/** One plan as it can be typed again, with what it came to. */
export function usePlan(planId: () => string) {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['plan', computed(planId), units],
    queryFn: () =>
      answered(
        api.GET('/api/v1/plans/{plan_id}', {
          params: { path: { plan_id: planId() }, query: { units: units.value } },
        }),
      ),
    enabled: computed(() => !!planId()),
    retry: false,
  })
}

/** Keeping plans and forgetting them; what is refused is thrown. */
export function usePlanActs() {
  const settings = useSettings()
  const queries = useQueryClient()
  const once = useIntent()

  const anew = () =>
    Promise.all(['plans', 'plan'].map((key) => queries.invalidateQueries({ queryKey: [key] })))

  /** Answers the plan's id: a new one, or that of the plan that was written anew. */
  async function keep(planId: string, form: PlanForm): Promise<string> {
    const body = { ...form, units: settings.units }
    const path = { plan_id: planId }
    const { plan_id } = planId
      ? await answered(api.PUT('/api/v1/plans/{plan_id}', { params: { path }, body }))
      : await once(body, (header) =>
          answered(api.POST('/api/v1/plans', { params: { header }, body })),
        )
    await anew()
    return plan_id
  }

  async function forget(plan_id: string) {
    await answered(api.DELETE('/api/v1/plans/{plan_id}', { params: { path: { plan_id } } }))
    await anew()
  }

  return { keep, forget, anew }
}
