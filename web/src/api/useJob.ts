import { onScopeDispose, ref, shallowRef } from 'vue'
import { inWords, isSuperseded, ServerLost } from './problems'
import type { Waiting } from './job'

/**
 * One job of a kind at a time: a newer one ends the older, `stop` ends it and keeps what was
 * found, and what came too late is dropped.
 */
export function useJob<T>() {
  const found = shallowRef<T | null>(null)
  const share = ref<number | null>(null)
  const refused = ref('')
  const stopped = ref(false)
  let under: AbortController | null = null

  async function run(work: (waiting: Waiting) => Promise<T>): Promise<void> {
    forget()
    const mine = new AbortController()
    under = mine
    share.value = 0
    try {
      const progress = (told: number) => {
        if (under === mine) share.value = told
      }
      const answer = await work({ signal: mine.signal, progress })
      if (under === mine) found.value = answer
    } catch (error) {
      if (under === mine && !mine.signal.aborted) {
        const untold = error instanceof ServerLost || isSuperseded(error)
        refused.value = untold ? '' : inWords(error)
      }
    } finally {
      if (under === mine) {
        under = null
        share.value = null
      }
    }
  }

  function end() {
    under?.abort()
    under = null
    share.value = null
  }

  /** Ends what runs and drops what was found. */
  function forget() {
    end()
    found.value = null
    refused.value = ''
    stopped.value = false
  }

  /** Ends what runs because the angler said so. */
  function stop() {
    if (!under) return
    end()
    stopped.value = true
  }

  onScopeDispose(end)
  return { found, share, refused, stopped, run, stop, forget }
}
