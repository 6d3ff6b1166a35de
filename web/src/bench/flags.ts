/** Flags of a joint that are no trouble: it fits, ties on the fly, or is a trace against teeth. */
const QUIET = ['fits', 'fly', 'trace']

export function isTrouble(flag: string): boolean {
  return !QUIET.includes(flag)
}
