import { computed } from 'vue'
import type { Situation } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import type { Chip } from '@/widgets/ChipChoice.vue'
import { useBench } from '../useBench'

/** Words to choose from, as chips. */
export function plainChips<T extends string>(words: readonly T[] | undefined): Chip<T>[] {
  return (words ?? []).map((word) => ({ value: word, words: word }))
}

/** The day on the bench and how its parts are changed. */
export function useDay() {
  const bench = useBench()
  const { data: catalogue } = useCatalogue()
  const day = computed(() => bench.design?.situation as Situation)

  function change<K extends keyof Situation>(key: K, part: Partial<Situation[K]>) {
    const before = day.value[key]
    const after = typeof before === 'object' ? { ...before, ...part } : part
    bench.put({ situation: { ...day.value, [key]: after } })
  }

  function replace<K extends keyof Situation>(key: K, value: Situation[K]) {
    bench.put({ situation: { ...day.value, [key]: value } })
  }

  return { bench, catalogue, day, change, replace }
}
