import type { Schemas } from '@/api/client'

type Phrase = Pick<Schemas['SentenceWord'], 'before' | 'text'>

/** What stands before a control: a comma or semicolon sits against the word before it. */
export function wordsBefore(phrase: Pick<Phrase, 'before'>): string {
  return `${/^[,;]/.test(phrase.before) ? '' : ' '}${phrase.before} `
}

/** The whole sentence of the day as text. */
export function sentenceText(phrases: readonly Phrase[]): string {
  const words = phrases.map((phrase) => wordsBefore(phrase) + phrase.text)
  return phrases.length ? `${words.join('').trim()}.` : ''
}
