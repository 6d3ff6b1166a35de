import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { HoldReading } from '@/api/client'

/** Seconds that a pull takes from nothing to the expected breaking load. */
const PULL_S = 2.4

/** A pull that grows, by hand or by itself until the next like leader breaks. */
export function usePull(reading: () => HoldReading | undefined) {
  const motion = usePreferredReducedMotion()
  const at = ref(0)
  const pulling = ref(false)
  const number = ref(-1)
  const last = computed(() => (reading()?.points.length ?? 1) - 1)
  const specimen = computed(() => reading()?.specimens[number.value])
  const load_n = computed(() => {
    const points = reading()?.points
    return points ? (points[last.value]?.load.si ?? 0) * (at.value / last.value) : 0
  })
  const point = computed(() => reading()?.points[Math.round(at.value)])
  /** The like leader at hand has broken: the pull has reached its load. */
  const broken = computed(() => {
    const pulled = specimen.value
    return pulled && load_n.value >= pulled.load.si - 1e-9 ? pulled : undefined
  })
  const placeOf = (load: number) => {
    const most = reading()?.points[last.value]?.load.si ?? 1
    return (load / most) * last.value
  }

  useRafFn(({ delta }) => {
    const pulled = specimen.value
    if (!pulling.value || !pulled) return
    const end = placeOf(pulled.load.si)
    at.value = Math.min(end, at.value + (delta / 1000 / PULL_S) * placeOf(reading()?.mean.si ?? 1))
    if (at.value >= end) pulling.value = false
  })

  /** Takes the next like leader and pulls it; where motion is unwelcome it is broken at once. */
  function pull() {
    const count = reading()?.specimens.length ?? 0
    if (!count) return
    number.value = (number.value + 1) % count
    at.value = motion.value === 'reduce' ? placeOf(specimen.value?.load.si ?? 0) : 0
    pulling.value = motion.value !== 'reduce'
  }

  /** By hand: this one has not broken before the pull reaches its load. */
  function drag(place: number) {
    pulling.value = false
    if (number.value < 0) number.value = 0
    at.value = Math.min(last.value, Math.max(0, place))
  }

  watch(reading, () => {
    pulling.value = false
    number.value = -1
    at.value = 0
  })

  return { at, last, load_n, point, broken, pulling, pull, drag, placeOf }
}
