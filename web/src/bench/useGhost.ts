import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { useBench } from './useBench'
import { useGhostDesign } from './useGhostDesign'

/** The pinned leader read as the bench's is. */
export function useGhost() {
  const bench = useBench()
  const settings = useSettings()
  const design = useGhostDesign()
  const { answer } = useAnswer(
    () => design.value && { design: design.value, units: settings.units },
    (body, { signal }) => answered(api.POST('/api/v1/bench', { body, signal })),
    { keep: true },
  )
  return {
    evaluation: computed(() => answer.value?.evaluation ?? null),
    title: computed(() => bench.ghost?.title ?? ''),
  }
}
