import { inWords } from '@/api/problems'
import { notify } from './notify'

/** Does some work; what goes wrong is said at the corner. */
export async function attempt(work: () => Promise<unknown>) {
  try {
    await work()
  } catch (error) {
    notify(inWords(error), 'trouble')
  }
}
