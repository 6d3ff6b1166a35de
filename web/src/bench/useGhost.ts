import { ref, shallowRef, watch } from 'vue'
import { answered, api, type Design, type Evaluation } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useBench } from './useBench'

/** The pinned leader, read under the day that is on the bench, so that the two are comparable. */
export function useGhost() {
  const bench = useBench()
  const settings = useSettings()
  const evaluation = shallowRef<Evaluation | null>(null)
  const title = ref('')
  let asked = 0

  async function read(ghost: Design | null) {
    const mine = ++asked
    title.value = ghost?.title ?? ''
    if (!ghost || !bench.design) {
      evaluation.value = null
      return
    }
    const design = { ...ghost, situation: bench.design.situation }
    try {
      const body = { design, units: settings.units }
      const answer = await answered(api.POST('/api/bench', { body }))
      if (mine === asked) evaluation.value = answer.evaluation
    } catch {
      // the bench itself says that the server is lost and asks again; the ghost follows then
      if (mine === asked) evaluation.value = null
    }
  }

  watch(
    () => [bench.ghost, JSON.stringify(bench.design?.situation), settings.units, bench.lost],
    () => read(bench.ghost),
    { immediate: true },
  )
  return { evaluation, title }
}
