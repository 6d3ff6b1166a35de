import type { Schemas } from '@/api/client'
import { daysUnsent, keepPack, packedAtHere, packsHere, type DayPack } from './keep'
import { ask } from './useDay'

type PlanCard = Schemas['PlanCard']

/**
 * Brings every day that is packed at the bench onto this phone, where it is newer there, and answers
 * the days to show: those kept here that are the angler's, and any with something still to send.
 */
export async function fetchPacks(): Promise<DayPack[]> {
  const plans = await ask<PlanCard[]>('/api/v1/plans')
  const here = await packedAtHere()
  for (const plan of plans.filter(
    (plan) => plan.packed_at && plan.packed_at !== here[plan.plan_id],
  ))
    await keepPack(await ask<DayPack>(`/api/v1/plans/${plan.plan_id}/pack`), plan.packed_at)
  const listed = new Set(plans.map((plan) => plan.plan_id))
  const unsent = await daysUnsent()
  const packs = await packsHere()
  return packs.filter(({ plan_id }) => listed.has(plan_id) || unsent.has(plan_id))
}
