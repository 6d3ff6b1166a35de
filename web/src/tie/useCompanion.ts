import { computed, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useBench } from '@/bench/useBench'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'

interface Progress {
  /** The leader that is being tied; another one begins anew. */
  leader: string
  at: number
  cameOut: string[]
}

/** The work one step a screen: where one is survives a reload, and any step can be taken back. */
export function useCompanion() {
  const bench = useBench()
  const settings = useSettings()
  const kept = useAnglerStorage<Progress>('tying', { leader: '', at: 0, cameOut: [] })
  /** All cut first, or each piece where it is joined: the angler's own way, kept. */
  const order = useAnglerStorage<Schemas['ScreensRequest']['order']>('order', 'cut first')
  const leader = computed(() => JSON.stringify(bench.design?.leader ?? null))
  const { answer: screens } = useAnswer(
    () => bench.design && { design: bench.design, units: settings.units, order: order.value },
    (body, { signal }) => answered(api.POST('/api/v1/tying/screens', { body, signal })),
    { keep: true },
  )
  const count = computed(() => screens.value?.length ?? 0)
  const mine = computed(() => kept.value.leader === leader.value)
  const at = computed(() => (mine.value ? Math.min(kept.value.at, count.value) : 0))
  const screen = computed(() => screens.value?.[at.value])
  const next = computed(() => screens.value?.[at.value + 1])
  /** All steps are behind; what came out can be kept. */
  const done = computed(() => count.value > 0 && at.value === count.value)
  const cameOut = computed(() => {
    const pieces = bench.design?.leader.pieces.length ?? 0
    return Array.from({ length: pieces }, (_, i) => (mine.value && kept.value.cameOut[i]) || '')
  })

  function go(to: number) {
    const place = Math.min(count.value, Math.max(0, to))
    kept.value = { leader: leader.value, at: place, cameOut: cameOut.value }
  }
  function note(piece: number, text: string) {
    const lengths = [...cameOut.value]
    lengths[piece] = text
    kept.value = { leader: leader.value, at: at.value, cameOut: lengths }
  }
  function startAgain() {
    kept.value = { leader: leader.value, at: 0, cameOut: [] }
  }

  watch(order, startAgain)

  return { order, at, count, screen, next, done, cameOut, go, note, startAgain }
}
