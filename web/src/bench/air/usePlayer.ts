import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

/** Playing, scrubbing and slowing a movie of `count` frames, `gap_s` apart. */
export function usePlayer(count: () => number, gap_s: () => number) {
  const motion = usePreferredReducedMotion()
  const still = computed(() => motion.value === 'reduce')
  const at = ref(0)
  const playing = ref(false)
  const slow = ref(false)
  const last = computed(() => Math.max(0, count() - 1))
  const frame = computed(() => Math.min(last.value, Math.round(at.value)))
  /** Since the first frame, in s. */
  const seconds = computed(() => frame.value * gap_s())

  useRafFn(({ delta }) => {
    if (!playing.value) return
    at.value += delta / 1000 / gap_s() / (slow.value ? 4 : 1)
    if (at.value >= last.value) {
      at.value = last.value
      playing.value = false
    }
  })

  function toggle() {
    if (!playing.value && at.value >= last.value) at.value = 0
    playing.value = !playing.value
  }

  function show(wanted: number) {
    playing.value = false
    at.value = Math.min(last.value, Math.max(0, wanted))
  }

  function slower() {
    slow.value = !slow.value
  }

  /** Space plays, arrows step, Home and End go to the first and the last, Q slows. */
  function key(event: KeyboardEvent) {
    const acts: Record<string, () => void> = {
      ' ': toggle,
      ArrowLeft: () => show(frame.value - 1),
      ArrowRight: () => show(frame.value + 1),
      Home: () => show(0),
      End: () => show(last.value),
      q: slower,
    }
    const act = acts[event.key]
    if (!act) return
    event.preventDefault()
    act()
  }

  // a new cast shows its landing; whoever wants the movie plays it
  watch(count, () => {
    if (!playing.value) at.value = last.value
  })
  at.value = last.value

  return { frame, seconds, playing, slow, still, last, toggle, slower, show, key }
}
