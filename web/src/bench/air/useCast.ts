import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answered, api, type Design, type Schemas, type System } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'
import { useGhostDesign } from '../useGhostDesign'

type StrokeTexts = Omit<Schemas['StrokeForm'], 'kind'>

const USUAL: StrokeTexts = {
  speed: 'normal',
  line_out: '',
  loop: '',
  drop: false,
  gust: '',
  gust_from: 'in the face',
}

/** The stroke as the service takes it. */
export const overhead = (said: StrokeTexts) => ({ kind: 'overhead' as const, ...said })

interface Thrown {
  design: Design
  stroke: Schemas['StrokeForm']
  units: System
  /** How often the angler's own cast was learnt: known better, every cast is judged anew. */
  learnt: number
}

/** How long nothing changes before the whole cast is asked for, after its turnover. */
const SETTLED_MS = 150

/**
 * A design thrown, from what was good for the one before: at once its turnover, and when nothing
 * changes any more how it lands, with its movie.
 */
function useThrow(name: string, question: () => Thrown | null) {
  const bench = `${name}-${crypto.randomUUID().slice(0, 8)}`
  let near: Schemas['Near'] | null = null
  const rough = shallowRef<Schemas['CastReading'] | null>(null)

  const whole = useAnswer(
    question,
    async ({ design, stroke, units }, { signal }) => {
      const asked = { bench, design, stroke, units }
      try {
        if (near) {
          const body = { ...asked, near, rough: true }
          rough.value = await answered(api.POST('/api/v1/casts', { body, signal }))
          near = rough.value.near
          await new Promise((done) => setTimeout(done, SETTLED_MS))
        }
        const body = { ...asked, near, rough: false }
        const reading = await answered(api.POST('/api/v1/casts', { body, signal }))
        near = reading.near
        rough.value = null
        return reading
      } catch (error) {
        if (!signal.aborted) rough.value = null
        throw error
      }
    },
    { keep: true },
  )
  const answer = computed(() => {
    const last = whole.answer.value
    if (!last || !rough.value) return last
    const { turnover, figure, speed_margin } = rough.value
    return { ...last, turnover, figure, speed_margin }
  })
  return { ...whole, answer }
}

/** The cast of the leader on the bench and of its ghost, under one stroke. */
export const useCast = defineStore('cast', () => {
  const bench = useBench()
  const settings = useSettings()
  const ghostDesign = useGhostDesign()
  const stroke = useAnglerStorage('stroke', USUAL)
  const learnt = ref(0)

  const thrown = (design: Design | null): Thrown | null =>
    design && {
      design: { ...design, title: 'cast', notes: '' },
      stroke: overhead(stroke.value),
      units: settings.units,
      learnt: learnt.value,
    }
  const mine = useThrow('bench', () => thrown(bench.design))
  const ghosts = useThrow('ghost', () => thrown(ghostDesign.value))

  return {
    stroke,
    learnt,
    reading: mine.answer,
    fresh: mine.fresh,
    refused: mine.refused,
    ghost: ghosts.answer,
  }
})
