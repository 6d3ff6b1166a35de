import { useStorage, type RemovableRef } from '@vueuse/core'
import { useAnglers } from './useAnglers'

/**
 * What this browser remembers for the angler in front: each angler has their own, and nobody sees
 * the next one's. What an earlier version remembered without a name goes to whoever opens it first.
 */
export function useAnglerStorage<T>(name: string, initial: T): RemovableRef<T> {
  const angler = useAnglers().front?.angler_id ?? 'nobody'
  const key = `nine-knots.${angler}.${name}`
  const unnamed = `nine-knots.${name}`
  const before = localStorage.getItem(unnamed)
  if (before !== null && angler !== 'nobody') {
    if (localStorage.getItem(key) === null) localStorage.setItem(key, before)
    localStorage.removeItem(unnamed)
  }
  return useStorage<T>(key, initial, localStorage, {
    mergeDefaults: true,
    ...(initial === null ? { serializer: JSON_TEXT } : {}),
  })
}

/** For values that begin as null, whose kind useStorage can’t tell. */
const JSON_TEXT = {
  read: (text: string) => JSON.parse(text) as never,
  write: (value: unknown) => JSON.stringify(value),
}
