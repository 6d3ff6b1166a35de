import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useBench } from './useBench'

/** A thing of the strip; a branch goes by the number of the joint it leaves at. */
export interface Thing {
  kind: 'piece' | 'joint' | 'thing' | 'branch'
  index: number
}

/** Selection on the strip, the lanes and in the grid. */
export const useSelection = defineStore('selection', () => {
  const bench = useBench()
  const chosen = ref<Thing>({ kind: 'piece', index: 0 })

  /** All things from the line to the fly: joint 0, piece 0 and what hangs on it, joint 1, … */
  const things = computed<Thing[]>(() => {
    const reading = bench.evaluation
    if (!reading) return []
    const branchAt = new Set(reading.branches.map((branch) => branch.joint))
    const joint = (index: number): Thing[] => [
      { kind: 'joint', index },
      ...(branchAt.has(index) ? [{ kind: 'branch', index } as const] : []),
    ]
    const hung = [...reading.things].sort((a, b) => a.at_m - b.at_m)
    return [
      ...joint(0),
      ...reading.pieces.flatMap((piece, number) => {
        const last = number === reading.pieces.length - 1
        const on = hung.filter(
          (item) => item.at_m >= piece.start_m && (item.at_m < piece.end_m || last),
        )
        return [
          { kind: 'piece', index: piece.index } as const,
          ...on.map((item): Thing => ({ kind: 'thing', index: item.index })),
          ...joint(number + 1),
        ]
      }),
    ]
  })

  const isThere = (thing: Thing) =>
    things.value.some(({ kind, index }) => kind === thing.kind && index === thing.index)

  const selected = computed<Thing>(() => {
    const { kind, index } = chosen.value
    if (isThere(chosen.value)) return chosen.value
    if (kind === 'branch') return { kind: 'joint', index }
    if (kind === 'thing') return { kind: 'piece', index: 0 }
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
