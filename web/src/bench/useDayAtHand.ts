import { computed, onMounted, shallowRef } from 'vue'
import { answered, api, type Situation } from '@/api/client'
import { sentenceText } from './sentence/sentenceText'
import { useBench } from './useBench'

/** The day that new leaders are built for: the bench's, or a usual one where the bench is empty. */
export function useDayAtHand() {
  const bench = useBench()
  const usual = shallowRef<Situation | null>(null)
  const situation = computed(() => bench.design?.situation ?? usual.value)
  const sentence = computed(() => sentenceText(bench.evaluation?.sentence ?? []))

  onMounted(async () => {
    if (!bench.design) usual.value = await answered(api.GET('/api/v1/day'))
  })
  /** Why nothing is built as yet. */
  const notYet = computed(() => (situation.value ? '' : 'One moment: the day is being looked up.'))
  const isUsual = computed(() => !bench.design && situation.value !== null)
  return { situation, sentence, isUsual, notYet }
}
