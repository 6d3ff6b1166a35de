import type { LaneSpan, OutlinePart } from '@/api/client'
import type { Axis } from './useAxis'

type Tapering = Pick<
  OutlinePart | LaneSpan,
  'from_m' | 'to_m' | 'upper_diameter_m' | 'lower_diameter_m'
>

/** A part seen from the side, as an SVG path around the axis `y`; `scale` is pixels a metre. */
export function sidePath(part: Tapering, axis: Axis, y: number, scale: number): string {
  const half = (diameter: number) => Math.max(0.7, (diameter * scale) / 2)
  const [x1, x2] = [axis.x(part.from_m), axis.x(part.to_m)]
  const [u, l] = [half(part.upper_diameter_m), half(part.lower_diameter_m)]
  return `M${x1} ${y - u}L${x2} ${y - l}L${x2} ${y + l}L${x1} ${y + u}Z`
}

/** The CSS class that gives a piece the tint of its material. */
export function tintOf(material: string, sighter = false): string {
  if (sighter) return 'tint--sighter'
  return material.startsWith('wire') ? 'tint--wire' : `tint--${material}`
}

/** The thickest diameter among parts of the leader and the line, in metres. */
export function thickest(...parts: readonly (readonly Tapering[])[]): number {
  return Math.max(1e-6, ...parts.flat().map((part) => part.upper_diameter_m))
}
