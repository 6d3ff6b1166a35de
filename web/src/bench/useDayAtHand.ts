import { computed, onMounted, shallowRef } from 'vue'
import { answered, api, type Situation } from '@/api/client'
import { sentenceText } from './sentence/sentenceText'
import { useBench } from './useBench'

/** Why nothing is built as yet. */
export const DAY_COMES = 'One moment: the day is being looked up.'

/** The day that new leaders are built for: the bench's, or a usual one where the bench is empty. */
export function useDayAtHand() {
  const bench = useBench()
  const usual = shallowRef<Situation | null>(null)
  const situation = computed(() => bench.design?.situation ?? usual.value)
  const sentence = computed(() => sentenceText(bench.evaluation?.sentence ?? []))

  onMounted(async () => {
    if (!bench.design) usual.value = await answered(api.GET('/api/day'))
  })
  return { situation, sentence }
}
