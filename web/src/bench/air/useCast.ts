import { defineStore } from 'pinia'
import { ref } from 'vue'
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

/** A design thrown, from what was good for the one before. */
function useThrow(name: string, question: () => Thrown | null) {
  const bench = `${name}-${crypto.randomUUID().slice(0, 8)}`
  let near: Schemas['Near'] | null = null

  return useAnswer(
    question,
    async ({ design, stroke, units }, { signal }) => {
      const body = { bench, design, stroke, units, near }
      const reading = await answered(api.POST('/api/casts', { body, signal }))
      near = reading.near
      return reading
    },
    { keep: true },
  )
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
