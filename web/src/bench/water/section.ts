import type { WaterReading } from '@/api/client'

type Frames = NonNullable<WaterReading['movie']>['frames']

export interface Box {
  left: number
  right: number
  top: number
}

/** How far rigs reach, in metres: left and right of the top, and above the bed. */
export function boxOf(readings: readonly WaterReading[]): Box {
  let [left, right, top] = [-0.4, 0.4, 0.1]
  for (const reading of readings) {
    top = Math.max(top, reading.depth.si)
    for (const frame of reading.movie?.frames ?? [])
      for (const [x, z] of frame) {
        left = Math.min(left, x)
        right = Math.max(right, x)
        top = Math.max(top, z)
      }
  }
  return { left, right, top }
}

export type ToPixels = (x_m: number, z_m: number) => readonly [number, number]

/** Nodes of a frame as an SVG path. */
export function pathOf(
  frame: Frames[number] | NonNullable<WaterReading['steady']>,
  nodes: readonly number[],
  px: ToPixels,
): string {
  return nodes
    .map((node, i) => {
      const [x, y] = px(...(frame[node] ?? [0, 0]))
      return `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('')
}

/** The way one node goes, up to a frame. */
export function wayOf(frames: Frames, node: number, to: number, px: ToPixels): string {
  return frames
    .slice(0, to + 1)
    .map((frame, i) => {
      const [x, y] = px(...(frame[node] ?? [0, 0]))
      return `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('')
}

/** Marks nearer to one another are left out. */
const CLOSE_PX = 24

export interface TimeMark {
  x: number
  y: number
  text: string
}

/** Marks along a node's way, at most ten of them, at whole seconds. */
export function timeMarks(
  movie: NonNullable<WaterReading['movie']>,
  node: number,
  px: ToPixels,
): TimeMark[] {
  const lasts = (movie.frames.length - 1) * movie.every_s
  const gap = Math.max(1, Math.ceil(lasts / 8))
  const marks: TimeMark[] = []
  for (let at = gap; at <= lasts + 1e-6; at += gap) {
    const frame = movie.frames[Math.round(at / movie.every_s)]
    const place = frame?.[node]
    if (!place) continue
    const [x, y] = px(...place)
    const last = marks.at(-1)
    if (last && Math.hypot(x - last.x, y - last.y) < CLOSE_PX) continue
    marks.push({ x, y, text: `${at} s` })
  }
  return marks
}
