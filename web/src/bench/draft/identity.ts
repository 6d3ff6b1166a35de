import { draftIds } from './keep'

const KEY = 'nine-knots.draft'

/** Holds a draft for this tab as long as it lives; false where another tab holds it. */
function claim(id: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(`nine-knots.draft.${id}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null)
      return lock ? new Promise<never>(() => undefined) : undefined
    })
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
    if (id && isMine(id) && (await claim(id))) {
      sessionStorage.setItem(KEY, id)
      return id
    }
  }
  const id = `${anglerId}.${crypto.randomUUID()}`
  await claim(id)
  sessionStorage.setItem(KEY, id)
  return id
}
