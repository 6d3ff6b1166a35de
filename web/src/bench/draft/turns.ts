/**
 * One change at a time, in the order they were made, so that no answer comes out of order.
 * Of several waiting changes with the same `latest` name (a drag's steps) only the newest runs.
 */
interface Turn<C> {
  change: C
  latest: string
  done: () => void
  failed: (error: unknown) => void
}

export class Turns<C> {
  #waiting: Turn<C>[] = []
  #running: Turn<C> | null = null
  #last: Promise<unknown> = Promise.resolve()

  constructor(
    private readonly run: (change: C) => Promise<void>,
    /** Awaited after each turn, before its promise settles; the next turn does not wait for it. */
    private readonly after: () => Promise<void> = async () => undefined,
  ) {}

  add(change: C, latest = ''): Promise<void> {
    const outdated = this.#waiting.findIndex((turn) => latest !== '' && turn.latest === latest)
    for (const turn of outdated < 0 ? [] : this.#waiting.splice(outdated, 1)) turn.done()
    const promise = new Promise<void>((done, failed) => {
      this.#waiting.push({ change, latest, done, failed })
    })
    this.#last = Promise.allSettled([this.#last, promise])
    void this.#go()
    return promise
  }

  /** What has been asked for and is not done, the running one first. */
  get unfinished(): C[] {
    return [this.#running, ...this.#waiting].flatMap((turn) => (turn ? [turn.change] : []))
  }

  /** Waits for everything that was asked for so far, done or refused. */
  async settled(): Promise<void> {
    await this.#last
  }

  async #go(): Promise<void> {
    if (this.#running) return
    for (let turn = this.#waiting.shift(); turn; turn = this.#waiting.shift()) {
      this.#running = turn
      const settle = await this.run(turn.change).then(
        () => turn.done,
        (error: unknown) => () => turn.failed(error),
      )
      this.#running = null
      void this.after().then(settle, settle)
    }
  }
}
