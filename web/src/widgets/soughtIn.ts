/** Whether each of the words typed is somewhere in a text; an empty search finds all. */
export function soughtIn(sought: string, text: string): boolean {
  const own = text.toLowerCase()
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => own.includes(word))
}
