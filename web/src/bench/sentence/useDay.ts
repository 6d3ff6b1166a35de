import { computed } from 'vue'
import type { Situation } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import type { Chip } from '@/widgets/ChipChoice.vue'
import { useBench } from '../useBench'

/** Words of the catalogue as chips, with the figure they stand for. */
export function chipsOf(choices: { key: string; title: string; note: string }[] | undefined) {
  return (choices ?? []).map((one): Chip<string> => ({
    value: one.key,
    words: one.title,
    note: one.note,
  }))
}

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

  /** The words now standing in a part of the sentence. */
  const phrase = (part: string) =>
    bench.evaluation?.sentence.find((one) => one.part === part)?.text ?? ''

  return { bench, catalogue, day, change, replace, phrase }
}
