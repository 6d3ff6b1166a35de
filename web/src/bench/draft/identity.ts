import { draftIds } from './keep'

const KEY = 'nine-knots.draft'

const LEAVES_WITHIN_MS = 1500

/**
 * Holds a draft for this tab as long as it lives; false where another tab holds it. What this tab
 * had before is waited for a while: the page before it may only just be leaving.
 */
function claim(id: string, isOwn = false): Promise<boolean> {
  const how = isOwn ? { signal: AbortSignal.timeout(LEAVES_WITHIN_MS) } : { ifAvailable: true }
  return new Promise((resolve) => {
    navigator.locks
      .request(`nine-knots.draft.${id}`, how, (lock) => {
        resolve(lock !== null)
        return lock ? new Promise<never>(() => undefined) : undefined
      })
      .catch(() => resolve(false))
  })
}

/**
 * The draft of this tab: the one it had before a reload, or else the last one that no other tab
 * has open, or a new one. Two tabs never write into one draft, nor two anglers;
 * drafts that tell no angler are from before there were several.
 */
export async function draftOfThisTab(anglerId: string, isAlone: boolean): Promise<string> {
  const isMine = (id: string) => id.startsWith(`${anglerId}.`) || (isAlone && !id.includes('.'))
  const before = sessionStorage.getItem(KEY)
  for (const id of [before, ...(await draftIds())]) {
    if (id && isMine(id) && (await claim(id, id === before))) {
      sessionStorage.setItem(KEY, id)
      return id
    }
  }
  const id = `${anglerId}.${crypto.randomUUID()}`
  await claim(id)
  sessionStorage.setItem(KEY, id)
  return id
}
