/** Days and times as the reader's language writes them: nothing else in the interface writes one. */
const DAY: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', year: 'numeric' }
const ISO_DAY = /\b\d{4}-\d{2}-\d{2}\b/g

/** A day such as 2026-08-22 is that day everywhere; a moment is the day it is here. */
const asDate = (iso: string) => new Date(/^\d{4}-\d{2}-\d{2}$/.test(iso) ? `${iso}T00:00` : iso)

/** A moment, or a day, as the day it was. */
export const dayText = (iso: string) => asDate(iso).toLocaleDateString(undefined, DAY)

/** A moment with its hour. */
export const momentText = (iso: string) =>
  new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })

/** The hour of a moment in milliseconds. */
export const timeText = (at: number) =>
  new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })

/** A sentence from Python, with its days written for the reader. */
export const withDays = (sentence: string) => sentence.replace(ISO_DAY, dayText)
