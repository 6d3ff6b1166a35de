import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { useBench } from './useBench'
import { useSelection } from './useSelection'

type Kind = Schemas['ThingReading']['kind']

/** What can be done with things on the line, droppers and flies in line, for keys and buttons. */
export function useRigActs() {
  const bench = useBench()
  const selection = useSelection()
  const chosen = computed(() => selection.selected)

  const thing = computed(() =>
    chosen.value.kind === 'thing' ? bench.evaluation?.things[chosen.value.index] : undefined,
  )
  const branch = computed(() =>
    chosen.value.kind === 'branch'
      ? bench.evaluation?.branches.find((branch) => branch.joint === chosen.value.index)
      : undefined,
  )

  function hang(kind: Kind) {
    const next = bench.evaluation?.things.length ?? 0
    bench.edit({ act: 'hang-on', kind })
    selection.select('thing', next)
  }

  function slide(steps: number) {
    const { kind, index } = chosen.value
    // to the right is towards the point fly
    if (kind === 'thing') bench.edit({ act: 'nudge-thing', thing: index, steps: -steps })
    if (branch.value?.form === 'dropper') bench.edit({ act: 'nudge-dropper', joint: index, steps })
  }

  function stepSize(by: 1 | -1) {
    if (thing.value) bench.edit({ act: 'step-thing', thing: thing.value.index, by })
  }

  function takeOff() {
    const { kind, index } = chosen.value
    if (kind === 'thing') bench.edit({ act: 'take-off', thing: index })
    if (kind !== 'branch') return
    const act = branch.value?.form === 'in line' ? 'remove-fly-in-line' : 'remove-dropper'
    bench.edit({ act, joint: index })
    selection.select('joint', index)
  }

  /** The joint that is meant: the selected one, or the lower end of the selected piece. */
  const meant = computed(() => {
    const { kind, index } = chosen.value
    if (kind === 'thing') return 0
    return kind === 'piece' ? index + 1 : index
  })
  /** Whether a fly can hang there: between two pieces. */
  const hangs = computed(
    () => meant.value > 0 && meant.value < (bench.evaluation?.pieces.length ?? 0),
  )

  function addDropper() {
    bench.edit({ act: 'set-dropper', joint: meant.value })
    if (hangs.value) selection.select('branch', meant.value)
  }

  function addInLine() {
    const fly = bench.design?.situation.fly
    if (!fly) return
    bench.edit({ act: 'set-fly-in-line', joint: meant.value, fly, tied_from: 'bend' })
    if (hangs.value) selection.select('branch', meant.value)
  }

  const addFly = (how: 'tag' | 'behind') => bench.edit({ act: 'add-fly', how })

  return { addFly, thing, branch, hangs, hang, slide, stepSize, takeOff, addDropper, addInLine }
}
