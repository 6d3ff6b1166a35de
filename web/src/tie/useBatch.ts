import { computed, reactive, ref } from 'vue'
import { answered, api, type Design } from '@/api/client'
import { useBench } from '@/bench/useBench'

const others = reactive<Record<string, number>>({})
const designs = reactive<Record<string, Design>>({})
const own = ref(0)
export const MOST = 20

/** Leaders wanted at one sitting: so many of that on the bench, so many of those on the shelf; the
 * same wherever it is looked at. */
export function useBatch() {
  const bench = useBench()

  const wanted = computed(() => {
    const mine = bench.design && own.value > 0 ? [{ design: bench.design, count: own.value }] : []
    const rest = Object.entries(others).flatMap(([id, count]) => {
      const design = designs[id]
      return design && count > 0 && id !== bench.saved?.leader_id ? [{ design, count }] : []
    })
    return [...mine, ...rest]
  })

  async function want(leader_id: string, count: number) {
    if (count > 0) {
      const params = { path: { leader_id } }
      designs[leader_id] = (
        await answered(api.GET('/api/v1/leaders/{leader_id}', { params }))
      ).design
    }
    others[leader_id] = count
  }

  /** Nothing is wanted any more. */
  function clear() {
    own.value = 0
    for (const id of Object.keys(others)) others[id] = 0
  }

  return { own, others, wanted, want, clear }
}
