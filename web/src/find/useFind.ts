import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { answered, api, type Schemas, type Situation } from '@/api/client'
import { job } from '@/api/job'
import { inWords } from '@/api/problems'
import { useAnswer } from '@/api/useAnswer'
import { overhead, useCast } from '@/bench/air/useCast'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import { useDayAtHand } from '@/bench/useDayAtHand'

export type Wish = NonNullable<Schemas['FindRequest']['wishes']>[number]
export type FoundCard = Schemas['FoundCard']

interface AskedFor {
  /** A stroke for the search; empty is the one on the bench. */
  speed: string
  fish: string
  most_knots: number | null
  flies: number | null
  shortest: string
  longest: string
  bought: 'cut' | 'whole' | 'none'
  wishes: Wish[]
}

const USUAL: AskedFor = {
  speed: '',
  fish: '',
  most_knots: null,
  flies: null,
  shortest: '',
  longest: '',
  bought: 'cut',
  wishes: ['long and fine', 'easy to throw'],
}
const QUIET_MS = 200

/** What is asked of a leader to be found, and the search for it; it goes on in every place. */
export const useFind = defineStore('find', () => {
  const settings = useSettings()
  const cast = useCast()
  const { situation, notYet } = useDayAtHand()
  const bench = `find-${crypto.randomUUID().slice(0, 8)}`
  const asked = useAnglerStorage('find', USUAL)
  const reading = shallowRef<Schemas['FindReading'] | null>(null)
  const share = ref<number | null>(null)
  const refused = ref('')
  const stopped = ref(false)
  /** The question that was answered last: another one is not what is shown. */
  const answeredTo = ref('')
  let waiting: AbortController | null = null
  /** How far the search was when its time ran out. */
  let cutAt = 0

  function questionOn(day: Situation) {
    const { speed, ...demands } = asked.value
    const stroke = overhead({ ...cast.stroke, speed: speed || cast.stroke.speed })
    return { bench, situation: day, stroke, ...demands, units: settings.units }
  }
  const question = computed(() => situation.value && questionOn(situation.value))

  const { answer: heard, refused: unsaid } = useAnswer(
    () => question.value,
    (body, { signal }) => answered(api.POST('/api/v1/find/asked', { body, signal })),
    { quiet: QUIET_MS, keep: true },
  )

  /** The sentence as it was last understood stands while something in it cannot be read. */
  const said = shallowRef<Schemas['SearchSentence'] | null>(null)
  watch(heard, (now) => {
    if (now) said.value = now
  })

  /** Searches anew, or goes on with a search that ran out of time and keeps showing what it found. */
  async function find(goesOn = false) {
    if (!question.value) return
    const shownFrom = goesOn ? cutAt : 0
    const mine = (waiting = new AbortController())
    answeredTo.value = JSON.stringify(question.value)
    if (!goesOn) reading.value = null
    refused.value = ''
    stopped.value = false
    share.value = 0
    try {
      reading.value = await job('/api/v1/find', question.value, {
        signal: mine.signal,
        progress: (done) => (share.value = done),
        found: (soFar) => {
          if ((share.value ?? 0) >= shownFrom) reading.value = soFar
        },
      })
      cutAt = share.value ?? 0
    } catch (error) {
      if (!mine.signal.aborted) refused.value = inWords(error)
    } finally {
      if (waiting === mine) share.value = null
    }
  }

  function stop() {
    stopped.value = true
    waiting?.abort()
  }

  return {
    asked,
    situation,
    notYet,
    said,
    unsaid,
    reading,
    share,
    refused,
    stopped,
    /** Whether what is shown answers what is asked now. */
    fresh: computed(() => answeredTo.value === JSON.stringify(question.value)),
    find: () => find(),
    goOn: () => find(true),
    stop,
  }
})
