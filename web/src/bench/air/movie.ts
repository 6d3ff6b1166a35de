import type { Movie } from '@/api/client'
import { boxAround, type Box } from '@/drawing/boxes'
import { through, type ToPixels } from '@/drawing/paths'

/** A cast's positions in metres, unpacked: frame, node, x or y. */
export interface Reel {
  count: number
  nodes: number
  gap_s: number
  leader: number
  joints: number[]
  at: (frame: number, node: number) => readonly [number, number]
}

/** Unpacks little-endian 16-bit millimetres, told in the alphabet of base64 for addresses. */
export function unpack(movie: Movie): Reel {
  const told = atob(movie.points.replaceAll('-', '+').replaceAll('_', '/'))
  const bytes = Uint8Array.from(told, (char) => char.charCodeAt(0))
  const view = new DataView(bytes.buffer)
  const metres = (place: number) => view.getInt16(2 * place, true) / 1000
  return {
    count: movie.count,
    nodes: movie.nodes,
    gap_s: movie.gap_s,
    leader: movie.leader,
    joints: movie.joints,
    at: (frame, node) => {
      const place = 2 * (frame * movie.nodes + node)
      return [metres(place), metres(place + 1)]
    },
  }
}

const EVERY = 4

function* places(reels: readonly Reel[]): Generator<readonly [number, number]> {
  for (const reel of reels)
    for (let frame = 0; frame < reel.count; frame += 1)
      for (let node = 0; node < reel.nodes; node += EVERY) yield reel.at(frame, node)
}

/** How far the casts reach. */
export const extent = (reels: readonly Reel[]): Box =>
  boxAround({ left: 0, right: 1, top: 2.6 }, places(reels))

/** Nodes `from` to `to` of a frame as a path. */
export function trace(reel: Reel, frame: number, from: number, to: number, px: ToPixels): string {
  const nodes = Array.from({ length: to - from + 1 }, (_, i) => reel.at(frame, from + i))
  return through(nodes.map(([x, y]) => px(x, y)))
}
