import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answered, api } from '@/api/client'
import { inWords } from '@/api/problems'

/** Adding, changing and removing things on the shelf of spools, with refusals said in the form. */
export function useShelfForm(close: () => void) {
  const queries = useQueryClient()
  const refused = ref('')

  async function attempt(work: () => Promise<unknown>) {
    refused.value = ''
    try {
      await work()
      await queries.invalidateQueries({ queryKey: ['stock'] })
      close()
    } catch (error) {
      refused.value = inWords(error)
    }
  }

  const remove = (spool_id: string) =>
    attempt(() => answered(api.DELETE('/api/stock/{spool_id}', { params: { path: { spool_id } } })))

  return { refused, attempt, remove }
}
