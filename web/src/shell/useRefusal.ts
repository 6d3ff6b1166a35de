import { ref } from 'vue'
import { inWords } from '@/api/problems'

/** Work whose refusal is said in the form it came from; answers whether it was done. */
export function useRefusal() {
  const refused = ref('')

  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    refused.value = ''
    try {
      await work()
      return true
    } catch (error) {
      refused.value = inWords(error)
      return false
    }
  }

  return { refused, attempt }
}
