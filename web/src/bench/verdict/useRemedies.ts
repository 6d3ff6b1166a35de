import { watch } from 'vue'
import type { Schemas } from '@/api/client'
import { job } from '@/api/job'
import { useJob } from '@/api/useJob'
import { useSettings } from '@/settings/useSettings'
import { overhead, useCast } from '../air/useCast'
import { useSettled } from '../air/useSettled'
import { useBench } from '../useBench'
import { useWater } from '../water/useWater'

type Remedy = Schemas['Remedy']

/** Quiet after a change before remedies for the water are sought. */
const SETTLED_MS = 500

/** What would bring the turnover in, asked for where it stands outside its band. */
export function useTurnoverRemedies() {
  return useSettled<Remedy[]>(
    'remedies',
    (body, waiting) => job('/api/casts/remedies', body, waiting),
    (reading) => reading.turnover.standing !== 'right',
  )
}

/** What would bring drift and depth in, asked for where one of them stands outside its band. */
export function useWaterRemedies() {
  const bench = useBench()
  const cast = useCast()
  const water = useWater()
  const settings = useSettings()
  const work = useJob<Remedy[]>()
  const who = `mend-${crypto.randomUUID().slice(0, 8)}`
  let later: ReturnType<typeof setTimeout> | undefined

  function ask() {
    if (!bench.design) return
    const body = {
      bench: who,
      design: bench.design,
      fished: water.fished,
      slack_m: water.slack_m,
      stroke: overhead(cast.stroke),
      units: settings.units,
    }
    void work.run((waiting) => job('/api/water/remedies', body, waiting))
  }

  watch(
    () => water.reading,
    (reading) => {
      clearTimeout(later)
      work.forget()
      const cords = reading ? [reading.drift, reading.depth_cord] : []
      if (cords.some((cord) => cord.standing !== 'right')) later = setTimeout(ask, SETTLED_MS)
    },
    { immediate: true },
  )
  return work
}

/** One click: the changed rig or fly goes on the bench, or the stroke or the fishing is changed. */
export function useApply() {
  const bench = useBench()
  const cast = useCast()
  const water = useWater()

  return function apply(remedy: Remedy) {
    if (remedy.ask) {
      const { count_s, lead } = remedy.ask
      water.fished = {
        ...water.fished,
        ...(remedy.what === 'lead' ? { lead } : { count: count_s ?? '' }),
      }
    } else if (remedy.speed !== null)
      cast.stroke = { ...cast.stroke, speed: remedy.speed ?? 'normal' }
    else bench.put({ leader: remedy.design.leader, situation: remedy.design.situation })
  }
}
