import { ref } from 'vue'
import type { Edit } from '@/api/client'
import { useBench } from './useBench'

type Made = (byPx: { x: number; y: number }) => Edit

/** Less than this is a click. */
const STILL_PX = 2

/** Dragging something to change it: each move is tried out, letting go keeps it. */
export function usePreviewDrag() {
  const bench = useBench()
  const dragging = ref(false)
  let made: Made | null = null
  let from = { x: 0, y: 0 }
  let moved = false

  function grab(event: PointerEvent, edit: Made) {
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    made = edit
    from = { x: event.clientX, y: event.clientY }
    moved = false
    dragging.value = true
  }

  function move(event: PointerEvent) {
    if (!made) return
    const by = { x: event.clientX - from.x, y: event.clientY - from.y }
    moved ||= Math.hypot(by.x, by.y) > STILL_PX
    if (moved) bench.preview(made(by))
  }

  function end() {
    if (made && moved) bench.settle()
    made = null
    dragging.value = false
  }

  function cancel() {
    if (made) bench.revert()
    made = null
    dragging.value = false
  }

  return { dragging, grab, move, end, cancel }
}
