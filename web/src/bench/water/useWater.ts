import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { answered, api, type Design, type WaterForm, type WaterReading } from '@/api/client'
import { inWords, isSuperseded, ServerLost } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { useCast } from '../air/useCast'
import { useBench } from '../useBench'

const USUAL: WaterForm = {
  wanted: '',
  lead: '',
  tip: '',
  out: '',
  count: '',
  pull: '',
  pull_speed: '',
  pause: '',
  line: '',
  differs: '',
}

/** One rig fished again and again: its newest answer, never one that came out of order. */
function useFished(name: string) {
  const settings = useSettings()
  const bench = `${name}-${crypto.randomUUID().slice(0, 8)}`
  const reading = shallowRef<WaterReading | null>(null)
  const refused = ref('')
  let asked = 0

  async function fish(
    design: Design | null,
    fished: WaterForm,
    slack_m: number | null,
    movie: boolean,
  ) {
    const mine = ++asked
    if (!design) {
      reading.value = null
      return
    }
    try {
      const body = { bench, design, fished, slack_m, movie, units: settings.units }
      const answer = (await answered(api.POST('/api/water', { body }))) as WaterReading
      if (mine !== asked) return
      reading.value = answer
      refused.value = ''
    } catch (error) {
      if (mine !== asked || error instanceof ServerLost) return
      if (isSuperseded(error)) return
      reading.value = null
      refused.value = inWords(error)
    }
  }
  return { reading, refused, fish, bench }
}

/** The rig on the bench and its ghost, fished in the same water in the same way. */
export const useWater = defineStore('water', () => {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const fished = ref<WaterForm>({ ...USUAL })
  const mine = useFished('bench')
  const ghosts = useFished('ghost')
  /** Whether the stage is in view: without it only the two cords are asked for. */
  const seen = ref(false)

  const ghostDesign = computed(() =>
    bench.ghost && bench.design ? { ...bench.ghost, situation: bench.design.situation } : null,
  )
  const onTop = computed(() => {
    const wish = bench.design?.situation.wish
    return wish === 'drift on top' || wish === 'hang in the film'
  })
  /** Slack matters to a floating fly only; it comes from the settled cast. */
  const slackOf = (reading: typeof cast.reading) =>
    onTop.value && reading?.resolution === 'full' ? Math.max(0, reading.slack.si) : null

  const keyOf = (design: Design | null, slack: number | null) =>
    design &&
    JSON.stringify([
      design.leader,
      design.situation,
      fished.value,
      slack,
      seen.value,
      settings.units,
    ])

  watch(
    () => keyOf(bench.design, slackOf(cast.reading)),
    () => mine.fish(bench.design, fished.value, slackOf(cast.reading), seen.value),
    { immediate: true },
  )
  watch(
    () => keyOf(ghostDesign.value, slackOf(cast.ghost)),
    () => ghosts.fish(ghostDesign.value, fished.value, slackOf(cast.ghost), seen.value),
    { immediate: true },
  )
  watch(
    () => bench.lost,
    (lost) => {
      if (!lost) void mine.fish(bench.design, fished.value, slackOf(cast.reading), seen.value)
    },
  )

  /** Takes one figure of how it is fished; rejects where Python refuses it, and keeps the old. */
  async function say(part: keyof WaterForm, text: string | number) {
    if (!bench.design) return
    const made = { ...fished.value, [part]: text }
    const body = {
      bench: `${mine.bench}-say-${part}`,
      design: bench.design,
      fished: made,
      movie: false,
      units: settings.units,
    }
    try {
      await answered(api.POST('/api/water', { body }))
    } catch (error) {
      if (isSuperseded(error)) return // said again meanwhile: the newer one is put in
      throw error
    }
    // others may have been said meanwhile: only this one is put in
    fished.value = { ...fished.value, [part]: text }
  }

  return {
    fished,
    seen,
    say,
    slack_m: computed(() => slackOf(cast.reading)),
    reading: mine.reading,
    refused: mine.refused,
    ghost: ghosts.reading,
  }
})
