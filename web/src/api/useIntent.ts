/**
 * A save that is intended once. Where its answer got lost and the same is sent again, it goes by
 * the same key, and the service does not do it twice.
 */
export function useIntent() {
  let last = { what: '', key: '' }

  return async function once<T>(
    what: unknown,
    act: (header: { 'idempotency-key': string }) => Promise<T>,
  ): Promise<T> {
    const text = JSON.stringify(what)
    if (text !== last.what) last = { what: text, key: crypto.randomUUID() }
    const answer = await act({ 'idempotency-key': last.key })
    last = { what: '', key: '' }
    return answer
  }
}
