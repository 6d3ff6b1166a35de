import { ref } from 'vue'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import type { Axis } from './useAxis'

/**
 * Dragging a joint. Steps are relative to where the drag began, on the scale it began with: the
 * strip may be rescaled under the pointer while the end is pulled.
 */
export function useJointDrag(axis: () => Axis) {
  const bench = useBench()
  const selection = useSelection()
  const dragging = ref(-1)
  let startPx = 0
  let startM = 0
  let perM = 1
  let moved = false

  function begin(event: PointerEvent, joint: number, at_m: number) {
    if (event.button !== 0) return
    selection.select('joint', joint)
    if (joint === 0) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    dragging.value = joint
    startPx = event.clientX
    startM = at_m
    perM = axis().perM
    moved = false
  }

  function move(event: PointerEvent) {
    if (dragging.value < 0) return
    const by = event.clientX - startPx
    moved ||= Math.abs(by) > 2
    if (!moved) return
    bench.preview({ act: 'move-joint', joint: dragging.value, to_m: startM + by / perM })
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
