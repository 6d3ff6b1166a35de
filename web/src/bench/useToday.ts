import { answered, api, type Situation } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { overhead, useCast } from './air/useCast'

const QUIET_MS = 200

/**
 * Every school built, cast and fished for a day, with the stroke of the bench; with `keep` the day
 * before stays in sight until the new one is worked out.
 */
export function useToday(situation: () => Situation | null, { keep }: { keep: boolean }) {
  const cast = useCast()
  const settings = useSettings()
  const bench = `today-${crypto.randomUUID().slice(0, 8)}`
  return useAnswer(
    () => {
      const day = situation()
      const stroke = overhead(cast.stroke)
      return day && { bench, situation: day, stroke, units: settings.units }
    },
    (body, { signal }) => answered(api.POST('/api/v1/today', { body, signal })),
    { quiet: QUIET_MS, keep },
  )
}
