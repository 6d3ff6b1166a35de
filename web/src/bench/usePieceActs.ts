import { computed } from 'vue'
import { useBench } from './useBench'
import { useSelection } from './useSelection'

/** What can be done with the selected piece or joint, for keys and buttons alike. */
export function usePieceActs() {
  const bench = useBench()
  const selection = useSelection()
  const piece = computed(() =>
    selection.selected.kind === 'piece' ? selection.selected.index : null,
  )

  function onPiece(act: (index: number) => void) {
    if (piece.value !== null) act(piece.value)
  }

  const stepStock = (by: 1 | -1) =>
    onPiece((index) => bench.edit({ act: 'step-stock', piece: index, by }))
  const split = () => onPiece((index) => bench.edit({ act: 'split', piece: index, share: 0.5 }))
  const merge = () => onPiece((index) => bench.edit({ act: 'merge', piece: index }))
  const remove = () => onPiece((index) => bench.edit({ act: 'delete', piece: index }))

  function insert() {
    const { kind, index } = selection.selected
    const joint = kind === 'joint' ? index : index + 1
    bench.edit({ act: 'insert', joint })
    selection.select('piece', joint)
  }

  return { piece, stepStock, split, merge, remove, insert }
}
