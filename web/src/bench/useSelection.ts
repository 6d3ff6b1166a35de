import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useBench } from './useBench'

export interface Thing {
  kind: 'piece' | 'joint'
  index: number
}

/** What is selected on the strip, the lanes and in the grid: a piece or a joint. */
export const useSelection = defineStore('selection', () => {
  const bench = useBench()
  const chosen = ref<Thing>({ kind: 'piece', index: 0 })

  /** All things from the line to the fly: joint 0, piece 0, joint 1, … the fly's joint. */
  const things = computed<Thing[]>(() => {
    const count = bench.evaluation?.pieces.length ?? 0
    const pieces = Array.from({ length: count }, (_, index) => index)
    return [
      { kind: 'joint', index: 0 },
      ...pieces.flatMap((index): Thing[] => [
        { kind: 'piece', index },
        { kind: 'joint', index: index + 1 },
      ]),
    ]
  })

  const selected = computed<Thing>(() => {
    const { kind, index } = chosen.value
    const most = (bench.evaluation?.pieces.length ?? 1) - (kind === 'piece' ? 1 : 0)
    return { kind, index: Math.min(index, Math.max(0, most)) }
  })

  const is = (kind: Thing['kind'], index: number) =>
    selected.value.kind === kind && selected.value.index === index

  function select(kind: Thing['kind'], index: number) {
    chosen.value = { kind, index }
  }

  function step(by: number) {
    const place = things.value.findIndex((thing) => is(thing.kind, thing.index))
    const next = things.value[Math.min(things.value.length - 1, Math.max(0, place + by))]
    if (next) chosen.value = next
  }

  return { things, selected, is, select, step }
})
