/** Paths of SVG out of points in pixels. */
export type Point = readonly [x: number, y: number]

/** Metres to pixels: along, and up. */
export type ToPixels = (x_m: number, y_m: number) => Point

const shown = ([x, y]: Point) => `${x.toFixed(1)} ${y.toFixed(1)}`

/** A line through points. */
export function through(points: readonly Point[]): string {
  return points.map((point, i) => `${i ? 'L' : 'M'}${shown(point)}`).join('')
}

/** A closed outline. */
export function around(points: readonly Point[]): string {
  return points.length ? `${through(points)}Z` : ''
}
