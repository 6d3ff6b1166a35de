import type { WaterReading } from '@/api/client'
import { boxAround, type Box } from '@/drawing/boxes'
import { through, type ToPixels } from '@/drawing/paths'

type Frames = NonNullable<WaterReading['movie']>['frames']
type Frame = Frames[number] | NonNullable<WaterReading['steady']>

function* places(readings: readonly WaterReading[]): Generator<readonly [number, number]> {
  for (const reading of readings) {
    yield [0, reading.depth.si]
    for (const frame of reading.movie?.frames ?? []) yield* frame
  }
}

/** How far rigs reach: left and right of the top, and above the bed. */
export const boxOf = (readings: readonly WaterReading[]): Box =>
  boxAround({ left: -0.4, right: 0.4, top: 0.1 }, places(readings))

const placed = (frame: Frame | undefined, node: number, px: ToPixels) =>
  px(...(frame?.[node] ?? [0, 0]))

/** Nodes of a frame as a path. */
export const pathOf = (frame: Frame, nodes: readonly number[], px: ToPixels): string =>
  through(nodes.map((node) => placed(frame, node, px)))

/** The way one node goes, up to a frame. */
export const wayOf = (frames: Frames, node: number, to: number, px: ToPixels): string =>
  through(frames.slice(0, to + 1).map((frame) => placed(frame, node, px)))

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
