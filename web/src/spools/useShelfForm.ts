import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useRefusal } from '@/shell/useRefusal'

/** In which saved leaders a spool or packet is, in words. */
export function useSpoolUse(spoolId: () => string | undefined) {
  return useQuery({
    queryKey: ['spool-use', computed(spoolId)],
    queryFn: () =>
      answered(
        api.GET('/api/v1/stock/{spool_id}/use', { params: { path: { spool_id: spoolId()! } } }),
      ),
    enabled: computed(() => !!spoolId()),
  })
}

const OWNED = ['stock', 'kit', 'owned-kit', 'ledger', 'shopping', 'put-away']

/** Adding, changing and removing what is owned, with refusals said in the form. */
export function useShelfForm(close: () => void) {
  const queries = useQueryClient()
  const { refused, attempt: tried } = useRefusal()

  const attempt = (work: () => Promise<unknown>) =>
    tried(async () => {
      await work()
      await Promise.all(OWNED.map((key) => queries.invalidateQueries({ queryKey: [key] })))
      close()
    })

  const remove = (spool_id: string) =>
    attempt(() =>
      answered(api.DELETE('/api/v1/stock/{spool_id}', { params: { path: { spool_id } } })),
    )

  return { refused, attempt, remove }
}
