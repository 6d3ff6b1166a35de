import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answered, api, type Design, type WaterForm, type WaterReading } from '@/api/client'
import { isSuperseded } from '@/api/problems'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { useCast } from '../air/useCast'
import { useBench } from '../useBench'
import { useGhostDesign } from '../useGhostDesign'

const USUAL: WaterForm = {
  wanted: '',
  drift: '',
  lands: '',
  lead: '',
  tip: '',
  out: '',
  count: '',
  pull: '',
  pull_speed: '',
  pause: '',
  follow: '',
  line: '',
  differs: '',
}

/** The rig on the bench and its ghost, fished in the same water in the same way. */
export const useWater = defineStore('water', () => {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const ghostDesign = useGhostDesign()
  const fished = ref<WaterForm>({ ...USUAL })
  const page = crypto.randomUUID().slice(0, 8)
  /** Whether the stage is in view: without it only the two cords are asked for. */
  const seen = ref(false)

  /** Slack matters to a floating fly only; it comes from the cast. */
  const slackOf = (thrown: typeof cast.reading) =>
    bench.evaluation?.floats && thrown ? Math.max(0, thrown.slack.si) : null

  function useFished(name: string, design: () => Design | null, thrown: () => typeof cast.reading) {
    return useAnswer(
      () => {
        const made = design()
        return (
          made && {
            bench: `${name}-${page}`,
            design: { ...made, title: 'rig', notes: '' },
            fished: fished.value,
            slack_m: slackOf(thrown()),
            movie: seen.value,
            units: settings.units,
          }
        )
      },
      (body, { signal }) =>
        answered(api.POST('/api/v1/water', { body, signal })) as Promise<WaterReading>,
      { keep: true },
    )
  }

  const mine = useFished(
    'bench',
    () => bench.design,
    () => cast.reading,
  )
  const ghosts = useFished(
    'ghost',
    () => ghostDesign.value,
    () => cast.ghost,
  )

  /** Takes one figure of how it is fished; rejects where Python refuses it, and keeps the old. */
  async function say(part: keyof WaterForm, text: string | number) {
    if (!bench.design) return
    const made = { ...fished.value, [part]: text }
    const body = {
      bench: `say-${part.replaceAll('_', '-')}-${page}`,
      design: bench.design,
      fished: made,
      movie: false,
      units: settings.units,
    }
    try {
      await answered(api.POST('/api/v1/water', { body }))
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
    reading: mine.answer,
    fresh: mine.fresh,
    refused: mine.refused,
    ghost: ghosts.answer,
  }
})
