import { computed, type MaybeRefOrGetter, toValue } from 'vue'

export const LEFT_PX = 96
export const RIGHT_PX = 64

export interface Axis {
  /** Pixels from the left of a place in metres from the line's tip. */
  x: (at_m: number) => number
  /** Metres of a pixel. */
  m: (px: number) => number
  perM: number
  width: number
}

/** The one horizontal axis that strip and lanes share: metres along the leader to pixels. */
export function useAxis(width: MaybeRefOrGetter<number>, length_m: MaybeRefOrGetter<number>) {
  return computed<Axis>(() => {
    const whole = toValue(width)
    const perM = Math.max(1, whole - LEFT_PX - RIGHT_PX) / Math.max(1e-6, toValue(length_m))
    return {
      x: (at_m) => LEFT_PX + at_m * perM,
      m: (px) => (px - LEFT_PX) / perM,
      perM,
      width: whole,
    }
  })
}
