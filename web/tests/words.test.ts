import { describe, expect, it } from 'vitest'
import type { Catalogue, Joint, Schemas } from '@/api/client'
import { inWords, Refused, ServerLost } from '@/api/problems'
import { optionsFor, valueOf } from '@/bench/pieces/jointOptions'
import { sentenceText } from '@/bench/sentence/sentenceText'

const choice = (key: string) => ({ key, title: key, note: '' })
const knots: Catalogue['knots'] = {
  line: [choice('nail')],
  loop: [choice('perfection-loop'), choice('surgeons-loop')],
  between: [choice('blood'), choice('albright')],
  eye: [choice('uni'), choice('clinch')],
}
const words = (place: 'line' | 'between' | 'fly', present?: Joint) =>
  optionsFor(place, knots, present).flatMap((group) => group.options.map((one) => one.words))

describe('ways to tie a joint', () => {
  it('depend on where it is', () => {
    expect(words('fly')).toEqual(['uni', 'clinch'])
    expect(words('line')).toEqual([
      'loop to loop, perfection-loop',
      'loop to loop, surgeons-loop',
      'nail',
    ])
    expect(words('between')).toContain('swivel, uni')
    expect(words('between')).toContain('loop to loop, surgeons-loop')
  })

  it('keep a joint that mixes two knots as it is', () => {
    const ring: Joint = { kind: 'ring', knot: 'uni', upper_knot: 'clinch' }
    const [first] = optionsFor('between', knots, ring)
    expect(first?.options[0]?.words).toBe('ring, clinch above, uni below')
    expect(valueOf(first!.options[0]!.joint)).toBe('ring/uni/clinch')
  })

  it('do not repeat a joint that is among them', () => {
    expect(words('between', { kind: 'knot', knot: 'blood' })).toEqual(words('between'))
  })
})

describe('sentences', () => {
  it('set commas against the word before', () => {
    const parts: Schemas['Phrase'][] = [
      { part: 'water', before: 'On', text: 'a glide' },
      { part: 'pace', before: ',', text: 'still' },
      { part: 'fly', before: ', I cast', text: 'a midge' },
    ]
    expect(sentenceText(parts)).toBe('On a glide, still, I cast a midge.')
    expect(sentenceText([])).toBe('')
  })

  it('tell a refusal with its mend, and a lost server calmly', () => {
    const problem = { code: 'unreadable', status: 422, detail: 'No.', mend: 'Do this.' }
    expect(inWords(new Refused(problem))).toBe('No. Do this.')
    expect(inWords(new ServerLost())).toContain('Nothing is lost')
    expect(inWords('odd')).toBe('odd')
  })
})
