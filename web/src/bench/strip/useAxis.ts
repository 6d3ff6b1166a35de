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

/** What is in view: places in metres from the line's tip. */
export interface View {
  from_m: number
  to_m: number
}

/** The one horizontal axis that strip and lanes share: metres along the leader to pixels. */
export function useAxis(width: MaybeRefOrGetter<number>, view: MaybeRefOrGetter<View>) {
  return computed<Axis>(() => {
    const whole = toValue(width)
    const { from_m, to_m } = toValue(view)
    const perM = Math.max(1, whole - LEFT_PX - RIGHT_PX) / Math.max(1e-6, to_m - from_m)
    return {
      x: (at_m) => LEFT_PX + (at_m - from_m) * perM,
      m: (px) => from_m + (px - LEFT_PX) / perM,
      perM,
      width: whole,
    }
  })
}
