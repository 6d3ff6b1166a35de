import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import TypedField from '@/widgets/TypedField.vue'

function field(take: (text: string) => Promise<void>) {
  const made = mount(TypedField, { props: { label: 'Length', modelValue: '30 in', take } })
  const box = made.get('input')
  return { made, box, says: () => (box.element as HTMLInputElement).value }
}

describe('a typed figure', () => {
  it('shows what Python makes of it', async () => {
    const { made, box, says } = field(async () => {
      await made.setProps({ modelValue: '2 ft 7 in' })
    })
    await box.setValue('31')
    await box.trigger('keydown.enter')
    await nextTick()
    expect(says()).toBe('2 ft 7 in')
  })

  it('is not written over by an answer that comes while it is typed', async () => {
    const handed: string[] = []
    const { made, box, says } = field(async (text) => void handed.push(text))
    ;(box.element as HTMLInputElement).value = '4 fath'
    await box.trigger('input')
    await made.setProps({ modelValue: '33 in' })
    expect(says()).toBe('4 fath')
    await box.trigger('keydown.enter')
    expect(handed).toEqual(['4 fath'])
  })

  it('keeps refused text, and Escape brings the last figure back', async () => {
    const { box, made, says } = field(async () => {
      throw new Error('“long” is not a length.')
    })
    await box.setValue('long')
    await box.trigger('keydown.enter')
    await nextTick()
    expect(made.text()).toContain('is not a length')
    expect(says()).toBe('long')
    await box.trigger('keydown.esc')
    expect(says()).toBe('30 in')
    expect(made.find('[role=alert]').exists()).toBe(false)
  })

  it('follows again once it is left as it was found', async () => {
    const { made, box, says } = field(async () => {})
    ;(box.element as HTMLInputElement).value = '30 in'
    await box.trigger('input')
    await made.setProps({ modelValue: '33 in' })
    await box.trigger('blur')
    expect(says()).toBe('33 in')
  })
})
