import { useBench } from '../useBench'
import { usePieceActs } from '../usePieceActs'
import { useRigActs } from '../useRigActs'
import { useSelection } from '../useSelection'
import { useZoom } from './useZoom'

/** Keys on the strip; every act of the mouse has one. */
export function useStripKeys(intoFields: () => void) {
  const bench = useBench()
  const selection = useSelection()
  const acts = usePieceActs()
  const rig = useRigActs()
  const zoom = useZoom()

  function slide(steps: number) {
    const { kind, index } = selection.selected
    if (kind === 'thing' || kind === 'branch') {
      rig.slide(steps)
      return
    }
    const joint = kind === 'joint' ? index : index + 1
    bench.edit({ act: 'nudge-joint', joint, steps })
  }

  function bigger(by: 1 | -1) {
    if (selection.selected.kind === 'thing') rig.stepSize(by)
    else acts.stepStock(by)
  }

  function remove() {
    const { kind } = selection.selected
    if (kind === 'thing' || kind === 'branch') rig.takeOff()
    else acts.remove()
  }

  const plain: Record<string, () => void> = {
    ArrowLeft: () => selection.step(-1),
    ArrowRight: () => selection.step(1),
    ArrowUp: () => bigger(1),
    ArrowDown: () => bigger(-1),
    Home: () => selection.select('joint', 0),
    End: () => selection.select('joint', bench.evaluation?.pieces.length ?? 0),
    PageUp: () => slide(10),
    PageDown: () => slide(-10),
    Enter: intoFields,
    Delete: remove,
    Backspace: remove,
    s: acts.split,
    m: acts.merge,
    i: acts.insert,
    z: zoom.toggle,
    w: () => rig.hang('shot'),
    o: () => rig.hang('indicator'),
    a: () => rig.addFly('tag'),
    b: () => rig.addFly('behind'),
    d: rig.addDropper,
    l: rig.addInLine,
  }
  const shifted: Record<string, () => void> = {
    ArrowLeft: () => slide(-1),
    ArrowRight: () => slide(1),
  }

  return function key(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
    const act = (event.shiftKey ? shifted : plain)[name]
    if (!act) return
    event.preventDefault()
    act()
  }
}
