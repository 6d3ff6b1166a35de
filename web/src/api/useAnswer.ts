import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { inWords, isSuperseded, ServerLost } from './problems'
import type { Waiting } from './job'

interface Options {
  /** Milliseconds without a change before it is asked. */
  quiet?: number
  /** Whether the answer before is shown until the new one comes. */
  keep?: boolean
}

const LONGEST_WAIT_MS = 4000
let made = 0

/**
 * The answer to a question that changes: asked anew whenever the question does, and only the newest
 * one; an older one is ended (its signal is aborted). A question that is null is not asked. A lost
 * server is asked until it answers; a refusal is words.
 *
 * `share` is how much of the work is done, null while nothing is worked on; `stop` ends the work
 * until the question changes, or until `again`.
 */
export function useAnswer<Q, A>(
  question: () => Q | null,
  fetch: (asked: Q, waiting: Waiting) => Promise<A>,
  { quiet = 0, keep = false }: Options = {},
) {
  const queries = useQueryClient()
  const name = `answer-${(made += 1)}`
  const text = computed(() => JSON.stringify(question()))
  const asked = shallowRef<{ text: string; question: Q } | null>(null)
  const told = ref(0)
  const stopped = ref(false)
  let later: ReturnType<typeof setTimeout> | undefined

  function ask() {
    const now = question()
    stopped.value = false
    told.value = 0
    asked.value = now === null ? null : { text: text.value, question: now }
  }

  watch(
    text,
    () => {
      clearTimeout(later)
      if (question() === null || quiet === 0) return ask()
      if (!keep) asked.value = null
      later = setTimeout(ask, quiet)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(later))

  const query = useQuery<A>({
    queryKey: [name, computed(() => asked.value?.text ?? null)],
    queryFn: ({ signal }) => {
      if (!asked.value) throw new Error('There is no question.')
      const progress = (share: number) => {
        if (!signal.aborted) told.value = share
      }
      return fetch(asked.value.question, { signal, progress })
    },
    enabled: computed(() => asked.value !== null),
    placeholderData: keep ? keepPreviousData : undefined,
    structuralSharing: false,
    staleTime: Infinity,
    gcTime: 0,
    // one that is still asked was superseded by an older one that came later: once more
    retry: (_count, error) => error instanceof ServerLost || isSuperseded(error),
    retryDelay: (count) => Math.min(LONGEST_WAIT_MS, 250 * 2 ** count),
  })

  const refused = computed(() => {
    const error = query.error.value
    return !error || error instanceof ServerLost || isSuperseded(error) ? '' : inWords(error)
  })

  /** Ends the work because the angler said so. */
  function stop() {
    if (!query.isFetching.value) return
    stopped.value = true
    void queries.cancelQueries({ queryKey: [name] })
  }

  /** Asks the same once more. */
  function again() {
    if (!asked.value) return
    stopped.value = false
    told.value = 0
    void query.refetch({ cancelRefetch: true })
  }

  return {
    answer: computed(() => (asked.value && !stopped.value ? (query.data.value ?? null) : null)),
    /** Whether the answer is that to the question as it stands. */
    fresh: computed(
      () =>
        asked.value?.text === text.value && query.isSuccess.value && !query.isPlaceholderData.value,
    ),
    refused,
    share: computed(() => (query.isFetching.value && !stopped.value ? told.value : null)),
    stopped,
    stop,
    again,
  }
}
