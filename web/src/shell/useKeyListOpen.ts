import { createSharedComposable, useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { isTyping } from '@/widgets/isTyping'

/** Whether the list of keys is shown; `?` shows it from anywhere but a text field. */
export const useKeyListOpen = createSharedComposable(() => {
  const open = ref(false)
  useEventListener(window, 'keydown', (event) => {
    if (event.key === '?' && !isTyping(event)) open.value = true
  })
  return open
})
