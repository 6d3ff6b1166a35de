import { computed } from 'vue'
import { sentenceText } from './sentence/sentenceText'
import { useBench } from './useBench'

/** The one day at hand: new leaders are built for it, and what lies on the bench is judged by it. */
export function useDayAtHand() {
  const bench = useBench()
  const situation = computed(() => bench.situation)
  const sentence = computed(() => sentenceText(bench.sentence))
  /** Why nothing is built as yet. */
  const notYet = computed(() => (situation.value ? '' : 'One moment: the day is being looked up.'))
  return { situation, sentence, notYet }
}
