import type { LaneSpan, OutlinePart } from '@/api/client'
import { around } from './paths'

type Tapering = Pick<
  OutlinePart | LaneSpan,
  'from_m' | 'to_m' | 'upper_diameter_m' | 'lower_diameter_m'
>

const LEAST_PX = 0.7

/** A part seen from the side, around the height `y`; `x` in pixels, `scale` pixels a metre thick. */
export function sideOf(
  part: Tapering,
  x: (at_m: number) => number,
  y: number,
  scale: number,
): string {
  const half = (diameter: number) => Math.max(LEAST_PX, (diameter * scale) / 2)
  const [x1, x2] = [x(part.from_m), x(part.to_m)]
  const [u, l] = [half(part.upper_diameter_m), half(part.lower_diameter_m)]
  return around([
    [x1, y - u],
    [x2, y - l],
    [x2, y + l],
    [x1, y + u],
  ])
}

/** The thickest diameter among parts of the leader and the line, in metres. */
export function thickest(...parts: readonly (readonly Tapering[])[]): number {
  return Math.max(1e-6, ...parts.flat().map((part) => part.upper_diameter_m))
}

/** The length in metres to which leaders side by side are drawn: that of the longest. */
export const longestOf = (drawn: readonly { outline: OutlinePart[] }[]) =>
  Math.max(0.5, ...drawn.map(({ outline }) => outline.at(-1)?.to_m ?? 0))
