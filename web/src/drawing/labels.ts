/** Labels of a drawing, put where they run neither into one another nor over what must be seen. */
export interface Spot {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}
export interface Label {
  key: string
  text: string
  /** Places to try, the best first. Where none is free a label is left out. */
  spots: Spot[]
}
export type PlacedLabel = Label & Spot
interface Rectangle {
  left: number
  right: number
  top: number
  bottom: number
}

const SIZE_PX = 12
const PER_SIGN = 0.56 // of the size, the width of a letter of the text face
const APART_PX = 2

/** The room that a label takes; y is its base line. */
export function roomOf(text: string, { x, y, anchor }: Spot, size = SIZE_PX): Rectangle {
  const wide = text.length * PER_SIGN * size
  const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
  return { left, right: left + wide, top: y - 0.8 * size, bottom: y + 0.25 * size }
}

const apart = (one: Rectangle, other: Rectangle) =>
  one.right + APART_PX < other.left ||
  other.right + APART_PX < one.left ||
  one.bottom + APART_PX < other.top ||
  other.bottom + APART_PX < one.top

/** Labels at the first of their spots that is inside the width, apart from others and off `points`. */
export function placed(
  labels: readonly Label[],
  width: number,
  points: readonly (readonly [number, number])[] = [],
): PlacedLabel[] {
  const taken: Rectangle[] = []
  const found: PlacedLabel[] = []
  for (const label of labels) {
    const free = label.spots.find((spot) => {
      const room = roomOf(label.text, spot)
      const over = points.some(
        ([x, y]) => x > room.left && x < room.right && y > room.top && y < room.bottom,
      )
      const inside = room.left >= 0 && room.right <= width
      return inside && !over && taken.every((other) => apart(room, other))
    })
    if (!free) continue
    taken.push(roomOf(label.text, free))
    found.push({ ...label, ...free })
  }
  return found
}

/** Spots around a place: right or left of it, above or below. */
export const around = (x: number, y: number, off = 7): Spot[] => [
  { x: x + off, y: y - 5, anchor: 'start' },
  { x: x - off, y: y - 5, anchor: 'end' },
  { x: x + off, y: y + 12, anchor: 'start' },
  { x: x - off, y: y + 12, anchor: 'end' },
  { x, y: y - 12, anchor: 'middle' },
  { x, y: y + 20, anchor: 'middle' },
]
