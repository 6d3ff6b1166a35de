/**
 * A copy of JSON-like data without Vue's proxies. IndexedDB refuses to clone a proxy, so everything
 * on its way there passes through here.
 */
export const plain = <T>(value: T): T =>
  value === undefined ? value : (JSON.parse(JSON.stringify(value)) as T)
