import { useBench } from '../useBench'
import { useSelection } from '../useSelection'

type Grabbed =
  { kind: 'thing'; index: number; start: number } | { kind: 'branch'; index: number; start: number }

/** Dragging on the section: a shot or the indicator up and down the line, a dropper longer. */
export function useRigDrag(perM: () => number) {
  const bench = useBench()
  const selection = useSelection()
  let held: Grabbed | null = null
  let startPx = 0
  let scale = 1
  let moved = false

  function grab(event: PointerEvent, kind: Grabbed['kind'], index: number) {
    const thing = bench.evaluation?.things[index]
    const branch = bench.evaluation?.branches.find((one) => one.joint === index)
    const start = kind === 'thing' ? thing?.above.si : branch?.length.si
    if (event.button !== 0 || start === undefined) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    selection.select(kind, index)
    held = { kind, index, start }
    startPx = event.clientY
    scale = perM()
    moved = false
  }

  function move(event: PointerEvent) {
    if (!held) return
    const down = (event.clientY - startPx) / scale
    moved ||= Math.abs(event.clientY - startPx) > 2
    if (!moved) return
    if (held.kind === 'thing')
      bench.preview({ act: 'move-thing', thing: held.index, above_m: held.start - down })
    else
      bench.preview({
        act: 'set-dropper',
        joint: held.index,
        length: Math.min(1.5, Math.max(0.05, held.start + down)),
      })
  }

  function end() {
    if (held && moved) bench.settle()
    held = null
  }

  return { grab, move, end }
}
