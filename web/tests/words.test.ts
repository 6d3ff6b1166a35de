import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Connection, Schemas } from '@/api/client'
import { inWords, Refused, ServerLost } from '@/api/problems'
import { tieGroups, tieKey } from '@/bench/pieces/ties'
import { sentenceText } from '@/bench/sentence/sentenceText'
import PickOne from '@/widgets/PickOne.vue'

describe('ways to tie a joint', () => {
  const ring: Connection = { kind: 'ring', knot: 'uni', upper_knot: 'improved-clinch' }

  it('go by all that tells one from another', () => {
    const tagged: Connection = { ...ring, dropper: {} as Connection['dropper'] }
    expect(tieKey(ring)).toBe('ring/uni/improved-clinch')
    expect(tieKey(tagged)).toBe(tieKey(ring))
    expect(tieKey({ kind: 'fly', knot: 'uni', tied_from: 'eye' })).not.toBe(
      tieKey({ kind: 'fly', knot: 'uni', tied_from: 'bend' }),
    )
  })

  it('are picked by key, and one that is none of them keeps its words', async () => {
    const groups = tieGroups([{ title: 'Ring', ties: [{ words: 'ring, uni', joint: ring }] }])
    expect(groups[0]?.options[0]).toEqual({ value: tieKey(ring), words: 'ring, uni' })
    const picker = mount(PickOne<string>, {
      props: { groups, modelValue: 'knot/blood/', otherwise: 'as it is' },
    })
    expect(picker.find('option[disabled]').text()).toBe('as it is')
    await picker.find('select').setValue(tieKey(ring))
    expect(picker.emitted('update:modelValue')).toEqual([[tieKey(ring)]])
  })
})

describe('sentences', () => {
  it('set commas against the word before', () => {
    const parts: Schemas['SentenceWord'][] = [
      { part: 'water', before: 'On', text: 'a glide' },
      { part: 'pace', before: ',', text: 'still' },
      { part: 'fly', before: ', I cast', text: 'a midge' },
    ]
    expect(sentenceText(parts)).toBe('On a glide, still, I cast a midge.')
    expect(sentenceText([])).toBe('')
  })

  it('tell a refusal with its mend, and a lost server calmly', () => {
    const problem = { code: 'unreadable', status: 422, detail: 'No.', hint: 'Do this.' }
    expect(inWords(new Refused(problem))).toBe('No. Do this.')
    expect(inWords(new ServerLost())).toContain('Nothing is lost')
    expect(inWords('odd')).toBe('odd')
  })
})
