/** What the server says when it refuses something (RFC 9457, with a code, a place and the mend). */
export interface Problem {
  code: string
  status: number
  detail: string
  where?: string
  hint?: string
  newest?: number
}

export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }

  /** What is wrong and the mend, as one text. */
  get words(): string {
    return [this.problem.detail, this.problem.hint].filter(Boolean).join(' ')
  }
}

/** Whether a newer question of the same asker took this one's place: nothing to tell an angler. */
export function isSuperseded(error: unknown): boolean {
  return error instanceof Refused && error.problem.code === 'superseded'
}

export class ServerLost extends Error {
  constructor() {
    super('The server isn’t answering.')
  }
}

/** A sentence for any error that a person may have to read. */
export function inWords(error: unknown): string {
  if (error instanceof Refused) return error.words
  if (error instanceof ServerLost)
    return 'Nine Knots isn’t answering. Is ./start still running? Nothing is lost. Try again.'
  return error instanceof Error ? error.message : String(error)
}
