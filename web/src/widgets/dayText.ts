/** A moment as the day it was, as the browser's language writes it. */
export const dayText = (iso: string) =>
  new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })

/** A moment with its hour, as the browser's language writes it. */
export const momentText = (iso: string) =>
  new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
