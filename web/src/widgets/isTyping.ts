/** Whether a key belongs to a text field, so that single-letter keys must leave it alone. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  if (!(target instanceof HTMLElement)) return false
  return target.matches(
    'input:not([type=radio], [type=checkbox]), textarea, select, [contenteditable]',
  )
}
