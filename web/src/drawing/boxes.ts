/** How far something reaches, in metres: to the left and right, and up. */
export interface Box {
  left: number
  right: number
  top: number
}

/** The smallest box that holds another and all of these points. */
export function boxAround(least: Box, points: Iterable<readonly [number, number]>): Box {
  let { left, right, top } = least
  for (const [x, y] of points) {
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.max(top, y)
  }
  return { left, right, top }
}
