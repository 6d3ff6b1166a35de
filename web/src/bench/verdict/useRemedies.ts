import { ref, shallowRef, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { overhead, useCast } from '../air/useCast'
import { useBench } from '../useBench'

type Remedy = Schemas['Remedy']

/** Asked once a full cast has settled outside its band; dropped as soon as anything changes. */
export function useRemedies() {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const remedies = shallowRef<Remedy[]>([])
  const looking = ref(false)
  const name = `remedies-${crypto.randomUUID().slice(0, 8)}`
  let asked = 0

  async function ask() {
    const mine = ++asked
    remedies.value = []
    const reading = cast.reading
    const wanting = reading?.resolution === 'full' && reading.turnover.standing !== 'right'
    looking.value = Boolean(wanting && bench.design)
    if (!wanting || !bench.design) return
    try {
      const body = {
        bench: name,
        design: bench.design,
        units: settings.units,
        stroke: overhead(cast.stroke),
      }
      const found = await answered(api.POST('/api/casts/remedies', { body }))
      if (mine === asked) remedies.value = found
    } catch {
      // none can be told now; the next settled cast asks again
    } finally {
      if (mine === asked) looking.value = false
    }
  }

  /** One click: the changed leader or fly goes on the bench, or the stroke is changed. */
  function apply(remedy: Remedy) {
    if (remedy.speed !== null) cast.stroke = { ...cast.stroke, speed: remedy.speed ?? 'normal' }
    else bench.put({ leader: remedy.design.leader, situation: remedy.design.situation })
  }

  watch(() => cast.reading, ask, { immediate: true })
  return { remedies, looking, apply }
}
