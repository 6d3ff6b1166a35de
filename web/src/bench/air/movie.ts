import type { Movie } from '@/api/client'

/** A cast's positions in metres, unpacked: frame, node, x or y. */
export interface Reel {
  count: number
  nodes: number
  gap_s: number
  leader: number
  joints: number[]
  at: (frame: number, node: number) => readonly [number, number]
}

/** Unpacks little-endian 16-bit millimetres. */
export function unpack(movie: Movie): Reel {
  const bytes = Uint8Array.from(atob(movie.points), (one) => one.charCodeAt(0))
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

/** How far the cast reaches, in metres: left, right, highest. */
export function extent(reels: readonly Reel[]): { left: number; right: number; top: number } {
  let [left, right, top] = [0, 1, 2.6]
  for (const reel of reels)
    for (let frame = 0; frame < reel.count; frame += 1)
      for (let node = 0; node < reel.nodes; node += 4) {
        const [x, y] = reel.at(frame, node)
        left = Math.min(left, x)
        right = Math.max(right, x)
        top = Math.max(top, y)
      }
  return { left, right, top }
}

export type ToPixels = (x_m: number, y_m: number) => readonly [number, number]

/** Nodes `from` to `to` of a frame as an SVG path. */
export function trace(reel: Reel, frame: number, from: number, to: number, px: ToPixels): string {
  let path = ''
  for (let node = from; node <= to; node += 1) {
    const [x, y] = px(...reel.at(frame, node))
    path += `${node === from ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
  }
  return path
}
