import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { answered, api, type Design } from '@/api/client'
import { useBench } from '@/bench/useBench'
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
  const kept = useStorage<Progress>('nine-knots.tying', { leader: '', at: 0, cameOut: [] })
  const leader = computed(() => JSON.stringify(bench.design?.leader ?? null))
  const body = computed(() => ({ design: bench.design as Design, units: settings.units }))
  const { data: screens } = useQuery({
    queryKey: ['screens', body],
    queryFn: () => answered(api.POST('/api/tying/screens', { body: body.value })),
    enabled: computed(() => bench.design !== null),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  })
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

  return { at, count, screen, next, done, cameOut, go, note, startAgain }
}
