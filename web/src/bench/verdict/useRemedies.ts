import { ref, shallowRef, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
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
  const { found: remedies, looking } = useSettled<Remedy[]>(
    'remedies',
    [],
    (body) => answered(api.POST('/api/casts/remedies', { body })),
    (reading) => reading.turnover.standing !== 'right',
  )
  return { remedies, looking }
}

/** What would bring drift and depth in, asked for where one of them stands outside its band. */
export function useWaterRemedies() {
  const bench = useBench()
  const cast = useCast()
  const water = useWater()
  const settings = useSettings()
  const remedies = shallowRef<Remedy[]>([])
  const looking = ref(false)
  const who = `mend-${crypto.randomUUID().slice(0, 8)}`
  let asked = 0
  let later: ReturnType<typeof setTimeout> | undefined

  async function ask(mine: number) {
    if (!bench.design) return
    const body = {
      bench: who,
      design: bench.design,
      fished: water.fished,
      slack_m: water.slack_m,
      stroke: overhead(cast.stroke),
      units: settings.units,
    }
    try {
      const found = await answered(api.POST('/api/water/remedies', { body }))
      if (mine === asked) remedies.value = found
    } catch {
      // none can be told now; the next change asks again
    } finally {
      if (mine === asked) looking.value = false
    }
  }

  watch(
    () => water.reading,
    (reading) => {
      const mine = ++asked
      clearTimeout(later)
      remedies.value = []
      const cords = reading ? [reading.drift, reading.depth_cord] : []
      looking.value = cords.some((cord) => cord.standing !== 'right')
      if (looking.value) later = setTimeout(() => void ask(mine), SETTLED_MS)
    },
    { immediate: true },
  )
  return { remedies, looking }
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
