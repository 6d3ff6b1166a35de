/**
 * Undo without limit: numbered entries, one of them present. Going back keeps what lies ahead;
 * a new entry drops it.
 */
export interface Place {
  at: number
  top: number
}

const SAME_GESTURE_MS = 1200

export class History<T> {
  #entries: T[]
  #at: number
  #tag = ''
  #when = -Infinity

  constructor(entries: T[], at = entries.length - 1) {
    if (entries[at] === undefined) throw new RangeError('A history needs a present entry.')
    this.#entries = entries
    this.#at = at
  }

  get present(): T {
    return this.#entries[this.#at] as T
  }

  get place(): Place {
    return { at: this.#at, top: this.#entries.length - 1 }
  }

  get canUndo(): boolean {
    return this.#at > 0
  }

  get canRedo(): boolean {
    return this.#at < this.#entries.length - 1
  }

  /** A new present. Repeats of one gesture (the same tag within a moment) make one entry. */
  push(entry: T, tag = '', now = 0): void {
    const again = tag !== '' && tag === this.#tag && now - this.#when < SAME_GESTURE_MS
    if (!again || !this.canUndo) this.#at += 1
    this.#entries.splice(this.#at, Infinity, entry)
    this.#tag = tag
    this.#when = now
  }

  undo(): T {
    return this.#move(-1)
  }

  redo(): T {
    return this.#move(1)
  }

  #move(by: number): T {
    this.#at = Math.min(this.#entries.length - 1, Math.max(0, this.#at + by))
    this.#tag = ''
    return this.present
  }
}
