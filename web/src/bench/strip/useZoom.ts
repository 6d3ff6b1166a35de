import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import type { View } from './useAxis'

const SHARE = 0.22
const LEAST_M = 0.9

/** The part of a leader around a place, a fifth of it or so; never beyond its ends. */
export function viewAround(at_m: number, length_m: number): View {
  const wide = Math.min(length_m, Math.max(LEAST_M, SHARE * length_m))
  const from_m = Math.max(0, Math.min(length_m - wide, at_m - wide / 2))
  return { from_m, to_m: from_m + wide }
}

/** Looking closer at what is selected: the view follows the selection along the strip. */
export const useZoom = defineStore('zoom', () => {
  const bench = useBench()
  const selection = useSelection()
  const closer = ref(false)

  const at_m = computed(() => {
    const reading = bench.evaluation
    const { kind, index } = selection.selected
    if (!reading) return 0
    if (kind === 'joint') return reading.joints[index]?.at_m ?? 0
    if (kind === 'thing') return reading.things[index]?.at_m ?? 0
    if (kind === 'branch')
      return reading.branches.find((branch) => branch.joint === index)?.at_m ?? 0
    const piece = reading.pieces[index]
    return piece ? (piece.start_m + piece.end_m) / 2 : 0
  })

  /** Looked at: what is selected; while it is dragged the view stands, unless it leaves it. */
  const middle_m = ref(0)
  watch(
    () => [selection.selected.kind, selection.selected.index, closer.value],
    () => (middle_m.value = at_m.value),
    { flush: 'sync' },
  )
  watch(at_m, (at) => {
    const { from_m, to_m } = viewAround(middle_m.value, bench.evaluation?.length.si ?? 0)
    if (at < from_m || at > to_m) middle_m.value = at
  })

  /** The view of leaders up to so long. */
  function viewOf(longest_m: number): View {
    return closer.value ? viewAround(middle_m.value, longest_m) : { from_m: 0, to_m: longest_m }
  }

  return { closer, at_m, viewOf, toggle: () => (closer.value = !closer.value) }
})
