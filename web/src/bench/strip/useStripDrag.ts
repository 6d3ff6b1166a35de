import { computed, ref } from 'vue'
import { usePreviewDrag } from '../usePreviewDrag'
import { useSelection } from '../useSelection'
import type { Axis } from './useAxis'

/**
 * Dragging a joint or something on the line. Steps are relative to where the drag began, on the
 * scale it began with: the strip may be rescaled under the pointer while the end is pulled.
 */
export function useStripDrag(axis: () => Axis) {
  const selection = useSelection()
  const { dragging, grab, move, end, cancel } = usePreviewDrag()
  const held = ref(-1)

  function joint(event: PointerEvent, number: number, at_m: number) {
    if (event.button !== 0) return
    selection.select('joint', number)
    if (number === 0) return
    held.value = number
    const { x: toPx, m: toM } = axis()
    grab(event, ({ x }) => ({ act: 'move-joint', joint: number, to_m: toM(toPx(at_m) + x) }))
  }

  /** Its place is told up from the point fly: to the right is down. */
  function thing(event: PointerEvent, number: number, at_m: number, above_m: number) {
    if (event.button !== 0) return
    selection.select('thing', number)
    held.value = -1
    const { x: toPx, m: toM } = axis()
    const down = (x: number) => toM(toPx(at_m) + x) - at_m
    grab(event, ({ x }) => ({ act: 'move-thing', thing: number, above_m: above_m - down(x) }))
  }

  const dragged = computed(() => (dragging.value ? held.value : -1))
  return { dragged, joint, thing, move, end, cancel }
}
