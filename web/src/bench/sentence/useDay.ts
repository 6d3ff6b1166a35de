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
  const day = computed(() => bench.situation as Situation)

  function change<K extends keyof Situation>(key: K, part: Partial<Situation[K]>) {
    bench.alter([key], part as object)
  }

  function changeWithin<K extends keyof Situation, I extends keyof Situation[K] & string>(
    key: K,
    inner: I,
    part: Partial<NonNullable<Situation[K][I]>>,
  ) {
    bench.alter([key, inner], part as object)
  }

  function replace<K extends keyof Situation>(key: K, value: Situation[K]) {
    bench.alter([], { [key]: value })
  }

  return { bench, catalogue, day, change, changeWithin, replace }
}
