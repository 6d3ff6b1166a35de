import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { answered, api, type CastReading, type Design, type Schemas } from '@/api/client'
import { inWords, isSuperseded, ServerLost } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'

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

/** One thing that is cast again and again: its newest answer, never one that came out of order. */
function useThrow(name: string, stroke: () => StrokeTexts) {
  const settings = useSettings()
  const bench = `${name}-${crypto.randomUUID().slice(0, 8)}`
  const reading = shallowRef<CastReading | null>(null)
  const refused = ref('')
  let asked = 0
  let aim: number | null = null
  let later: ReturnType<typeof setTimeout> | undefined

  async function ask(design: Design, resolution: 'fast' | 'full') {
    const mine = ++asked
    try {
      const body = {
        bench,
        design,
        resolution,
        first_deg: aim,
        units: settings.units,
        stroke: overhead(stroke()),
      }
      const answer = await answered(api.POST('/api/casts', { body }))
      if (mine !== asked) return
      reading.value = answer
      aim = answer.aim_deg
      refused.value = ''
    } catch (error) {
      if (mine !== asked || error instanceof ServerLost) return
      if (isSuperseded(error)) return
      reading.value = null
      refused.value = inWords(error)
    }
  }

  function cast(design: Design | null) {
    clearTimeout(later)
    if (!design) {
      asked += 1
      reading.value = null
      return
    }
    void ask(design, 'fast')
    later = setTimeout(() => void ask(design, 'full'), SETTLED_MS)
  }

  return { reading, refused, cast }
}

/** The cast of the leader on the bench and of its ghost, under one stroke. */
export const useCast = defineStore('cast', () => {
  const bench = useBench()
  const settings = useSettings()
  const stroke = useStorage('nine-knots.stroke', USUAL, localStorage, { mergeDefaults: true })
  const mine = useThrow('bench', () => stroke.value)
  const ghosts = useThrow('ghost', () => stroke.value)

  const ghostDesign = computed(() =>
    bench.ghost && bench.design ? { ...bench.ghost, situation: bench.design.situation } : null,
  )
  const keyOf = (design: Design | null) =>
    design && JSON.stringify([design.leader, design.situation, stroke.value, settings.units])

  /** Casts anew what is there: the server is back, or it knows the angler better. */
  function again() {
    mine.cast(bench.design)
    ghosts.cast(ghostDesign.value)
  }

  watch(
    () => keyOf(bench.design),
    () => mine.cast(bench.design),
    { immediate: true },
  )
  watch(
    () => bench.lost,
    (lost) => {
      if (!lost) again()
    },
  )
  watch(
    () => keyOf(ghostDesign.value),
    () => ghosts.cast(ghostDesign.value),
    { immediate: true },
  )

  return {
    stroke,
    again,
    reading: mine.reading,
    refused: mine.refused,
    ghost: ghosts.reading,
  }
})
