import { ref } from 'vue'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import type { Axis } from './useAxis'

/** Dragging something along the line; its place is told up from the point fly. */
export function useThingDrag(axis: () => Axis) {
  const bench = useBench()
  const selection = useSelection()
  const dragging = ref(-1)
  let startPx = 0
  let startAbove = 0
  let moved = false

  function begin(event: PointerEvent, thing: number, above_m: number) {
    if (event.button !== 0) return
    selection.select('thing', thing)
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    dragging.value = thing
    startPx = event.clientX
    startAbove = above_m
    moved = false
  }

  function move(event: PointerEvent) {
    if (dragging.value < 0) return
    const by = event.clientX - startPx
    moved ||= Math.abs(by) > 2
    if (!moved) return
    const above_m = startAbove - by / axis().perM
    bench.preview({ act: 'move-thing', thing: dragging.value, above_m })
  }

  function end() {
    if (dragging.value >= 0 && moved) bench.settle()
    dragging.value = -1
  }

  function cancel() {
    if (dragging.value >= 0) bench.revert()
    dragging.value = -1
    moved = false
  }

  return { dragging, begin, move, end, cancel }
}
