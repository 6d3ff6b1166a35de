import { computed, type MaybeRefOrGetter, toValue } from 'vue'

export const LEFT_PX = 96
export const RIGHT_PX = 64
/** Margins, and how near joints may come, where there is little room. */
export const NARROW = { below_px: 600, left_px: 58, right_px: 46, least_px: 27 }

export interface Axis {
  /** Pixels from the left of a place in metres from the line's tip. */
  x: (at_m: number) => number
  /** Metres of a pixel. */
  m: (px: number) => number
  /** Pixels of a metre: everywhere where it is to scale, on average where it is spread. */
  perM: number
  width: number
  left: number
  right: number
  /** Whether short pieces are drawn longer than they are, so that each can be touched. */
  spread: boolean
}

/** What is in view: places in metres from the line's tip. */
export interface View {
  from_m: number
  to_m: number
}

/**
 * The one horizontal axis that strip and lanes share: metres along the leader to pixels. Where there
 * is little room, and `joints` are given (m), those too near one another are spread.
 */
export function useAxis(
  width: MaybeRefOrGetter<number>,
  view: MaybeRefOrGetter<View>,
  joints: MaybeRefOrGetter<readonly number[]> = [],
) {
  return computed<Axis>(() => {
    const whole = toValue(width)
    const { from_m, to_m } = toValue(view)
    const narrow = whole < NARROW.below_px
    const [left, margin] = narrow ? [NARROW.left_px, NARROW.right_px] : [LEFT_PX, RIGHT_PX]
    const room = Math.max(1, whole - left - margin)
    const perM = room / Math.max(1e-6, to_m - from_m)
    const seen = toValue(joints).filter((at) => at > from_m + 1e-6 && at < to_m - 1e-6)
    const stops = [from_m, ...seen, to_m]
    const lengths = stops.slice(1).map((at, i) => (at - stops[i]!) * perM)
    const drawn = narrow ? atLeast(lengths, NARROW.least_px, room) : lengths
    const pixels = drawn.reduce((row, width) => [...row, row.at(-1)! + width], [left])
    return {
      x: (at_m) => between(at_m, stops, pixels, perM),
      m: (px) => between(px, pixels, stops, 1 / perM),
      perM,
      width: whole,
      left,
      right: whole - margin,
      spread: drawn.some((item, i) => Math.abs(item - lengths[i]!) > 0.5),
    }
  })
}

/** Lengths of which none is shorter than `least`, with the same sum, the others to one scale. */
export function atLeast(lengths: readonly number[], least: number, sum: number): number[] {
  const floor = Math.min(least, sum / lengths.length)
  let short = new Set<number>()
  for (;;) {
    const rest = lengths.reduce((all, length, i) => all + (short.has(i) ? 0 : length), 0)
    const scale = (sum - short.size * floor) / rest
    const more = lengths.flatMap((length, i) =>
      !short.has(i) && length * scale < floor ? [i] : [],
    )
    if (!more.length || short.size + more.length === lengths.length)
      return lengths.map((length, i) => (short.has(i) ? floor : length * scale))
    short = new Set([...short, ...more])
  }
}

/** Where a place lies on one row of stops, told on the other; beyond the ends by the slope given. */
function between(at: number, from: readonly number[], to: readonly number[], slope: number) {
  const last = from.length - 1
  if (at <= from[0]!) return to[0]! + (at - from[0]!) * slope
  if (at >= from[last]!) return to[last]! + (at - from[last]!) * slope
  const i = from.findIndex((stop, n) => n > 0 && at <= stop)
  const share = (at - from[i - 1]!) / (from[i]! - from[i - 1]!)
  return to[i - 1]! + share * (to[i]! - to[i - 1]!)
}
