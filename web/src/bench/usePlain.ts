import { useAnglers } from '@/settings/useAnglers'
import { useAnglerStorage } from '@/settings/useAnglerStorage'

/** Whether the bench shows the sentence, the leader and its verdict alone, as a new angler needs. */
export function usePlain() {
  const isDemo = useAnglers().front?.demo ?? false
  return useAnglerStorage('plain-bench', !isDemo)
}
