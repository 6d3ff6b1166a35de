import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onUnmounted, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { notify } from '@/shell/notify'

export type Rated = Schemas['AttemptForm']['rated']

/** What to tie next, and a clock to tie it against. */
export function usePractice() {
  const queries = useQueryClient()
  const { data: rows } = useQuery({
    queryKey: ['practice'],
    queryFn: () => answered(api.GET('/api/v1/practice')),
  })
  const once = useIntent()
  const begun = ref<number | null>(null)
  const seconds = ref(0)
  const running = computed(() => begun.value !== null)
  const ticking = setInterval(() => {
    if (begun.value !== null) seconds.value = (performance.now() - begun.value) / 1000
  }, 100)
  onUnmounted(() => clearInterval(ticking))

  function start() {
    seconds.value = 0
    begun.value = performance.now()
  }
  function stop() {
    if (begun.value !== null) seconds.value = (performance.now() - begun.value) / 1000
    begun.value = null
  }

  async function rate(knot: Schemas['AttemptForm']['knot'], rated: Rated) {
    try {
      const body = { knot, seconds: Math.max(0.6, seconds.value), rated }
      const rows = await once(body, (header) =>
        answered(api.POST('/api/v1/practice', { params: { header }, body })),
      )
      queries.setQueryData(['practice'], rows)
      seconds.value = 0
    } catch (error) {
      notify(inWords(error), 'trouble')
    }
  }

  return { rows, seconds, running, start, stop, rate }
}
