import type { Schemas } from '@/api/client'

type Phrase = Schemas['Phrase']

/** What stands before a control: a comma sits against the word before it. */
export function wordsBefore(phrase: Phrase): string {
  return `${phrase.before.startsWith(',') ? '' : ' '}${phrase.before} `
}

/** The whole sentence of the day as text. */
export function sentenceText(phrases: readonly Phrase[]): string {
  const words = phrases.map((phrase) => wordsBefore(phrase) + phrase.text)
  return phrases.length ? `${words.join('').trim()}.` : ''
}
