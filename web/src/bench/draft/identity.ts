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
 * has open, or a new one. Two tabs never write into one draft.
 */
export async function draftOfThisTab(): Promise<string> {
  const before = sessionStorage.getItem(KEY)
  for (const id of [before, ...(await draftIds())]) {
    if (id && (await claim(id))) {
      sessionStorage.setItem(KEY, id)
      return id
    }
  }
  const id = crypto.randomUUID()
  await claim(id)
  sessionStorage.setItem(KEY, id)
  return id
}
