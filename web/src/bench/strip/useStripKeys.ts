import { useBench } from '../useBench'
import { usePieceActs } from '../usePieceActs'
import { useSelection } from '../useSelection'

/** Keys on the strip; every act of the mouse has one. */
export function useStripKeys(intoFields: () => void) {
  const bench = useBench()
  const selection = useSelection()
  const acts = usePieceActs()

  function slide(steps: number) {
    const { kind, index } = selection.selected
    const joint = kind === 'joint' ? index : index + 1
    bench.edit({ act: 'nudge-joint', joint, steps })
  }

  const plain: Record<string, () => void> = {
    ArrowLeft: () => selection.step(-1),
    ArrowRight: () => selection.step(1),
    ArrowUp: () => acts.stepStock(1),
    ArrowDown: () => acts.stepStock(-1),
    Home: () => selection.select('joint', 0),
    End: () => selection.select('joint', bench.evaluation?.pieces.length ?? 0),
    PageUp: () => slide(10),
    PageDown: () => slide(-10),
    Enter: intoFields,
    Delete: acts.remove,
    Backspace: acts.remove,
    s: acts.split,
    m: acts.merge,
    i: acts.insert,
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
