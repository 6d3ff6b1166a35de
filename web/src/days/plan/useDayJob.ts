import { computed, ref } from 'vue'
import { job } from '@/api/job'
import { inWords } from '@/api/problems'
import { overhead, useCast } from '@/bench/air/useCast'
import { useSettings } from '@/settings/useSettings'

/** Long work on a plan, worked out or packed: how far it is, stopped, or why it is refused. */
export function useDayJob<P extends '/api/plans/work' | '/api/plans/pack'>(path: P) {
  const settings = useSettings()
  const cast = useCast()
  const share = ref<number | null>(null)
  const refused = ref('')
  const stopped = ref(false)
  let waiting: AbortController | null = null

  /** Whether it was done; what it came to is kept by the service. */
  async function work(plan_id: string): Promise<boolean> {
    waiting?.abort()
    const mine = (waiting = new AbortController())
    const body = { plan_id, stroke: overhead(cast.stroke), units: settings.units }
    refused.value = ''
    stopped.value = false
    share.value = 0
    try {
      await job(path, body as Parameters<typeof job<P>>[1], {
        signal: mine.signal,
        progress: (done) => (share.value = done),
      })
      return true
    } catch (error) {
      if (!mine.signal.aborted) refused.value = inWords(error)
      return false
    } finally {
      if (waiting === mine) share.value = null
    }
  }

  function stop() {
    stopped.value = true
    waiting?.abort()
  }

  return { share, refused, stopped, busy: computed(() => share.value !== null), work, stop }
}
