import { computed } from 'vue'
import { useBench } from './useBench'

/** The pinned leader under the day that is on the bench, so that the two are comparable. */
export function useGhostDesign() {
  const bench = useBench()
  return computed(() =>
    bench.ghost && bench.design ? { ...bench.ghost, situation: bench.design.situation } : null,
  )
}
