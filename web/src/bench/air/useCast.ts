import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answered, api, type Design, type Schemas, type System } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'
import { useGhostDesign } from '../useGhostDesign'

/** Quiet after a change before the cast is worked out at full resolution. */
const SETTLED_MS = 350

type StrokeTexts = Omit<Schemas['StrokeForm'], 'kind'>

const USUAL: StrokeTexts = {
  speed: 'normal',
  line_out: '',
  loop: '',
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

/** A design thrown: at once by the fast mesh, and by the full one when it has settled. */
function useThrow(name: string, question: () => Thrown | null) {
  const bench = `${name}-${crypto.randomUUID().slice(0, 8)}`
  let aim: number | null = null

  function use(resolution: 'fast' | 'full', quiet: number) {
    return useAnswer(
      question,
      async ({ design, stroke, units }, { signal }) => {
        const who = `${bench}-${resolution}`
        const body = { bench: who, design, stroke, units, resolution, first_deg: aim }
        const reading = await answered(api.POST('/api/casts', { body, signal }))
        aim = reading.aim_deg
        return reading
      },
      { quiet, keep: true },
    )
  }

  const fast = use('fast', 0)
  const full = use('full', SETTLED_MS)
  return {
    reading: computed(() => (full.fresh.value ? full.answer.value : fast.answer.value)),
    refused: computed(() => fast.refused.value || full.refused.value),
  }
}

/** The cast of the leader on the bench and of its ghost, under one stroke. */
export const useCast = defineStore('cast', () => {
  const bench = useBench()
  const settings = useSettings()
  const ghostDesign = useGhostDesign()
  const stroke = useStorage('nine-knots.stroke', USUAL, localStorage, { mergeDefaults: true })
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

  /** What is asked of a cast that has settled: the design thrown, or null until it has. */
  const settled = computed(() => (mine.reading.value?.resolution === 'full' ? bench.design : null))

  return {
    stroke,
    learnt,
    settled,
    reading: mine.reading,
    refused: mine.refused,
    ghost: ghosts.reading,
  }
})
