import { useBench } from '../useBench'
import { usePreviewDrag } from '../usePreviewDrag'
import { useSelection } from '../useSelection'

/** Dragging on the section: a shot or the indicator up and down the line, a dropper longer. */
export function useRigDrag(perM: () => number) {
  const bench = useBench()
  const selection = useSelection()
  const { grab, move, end } = usePreviewDrag()

  function thing(event: PointerEvent, index: number) {
    const above = bench.evaluation?.things[index]?.above.si
    if (event.button !== 0 || above === undefined) return
    selection.select('thing', index)
    const scale = perM()
    grab(event, ({ y }) => ({ act: 'move-thing', thing: index, above_m: above - y / scale }))
  }

  function dropper(event: PointerEvent, joint: number) {
    const branch = bench.evaluation?.branches.find((branch) => branch.joint === joint)
    if (event.button !== 0 || branch?.form !== 'dropper') return
    selection.select('branch', joint)
    const scale = perM()
    const { shortest_m, longest_m } = branch
    const long = branch.length.si
    grab(event, ({ y }) => ({
      act: 'set-dropper',
      joint,
      length: Math.min(longest_m, Math.max(shortest_m, long + y / scale)),
    }))
  }

  return { thing, dropper, move, end }
}
