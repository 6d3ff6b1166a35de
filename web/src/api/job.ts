import { EventSourceParserStream } from 'eventsource-parser/stream'
import type { paths } from '@generated/schema'
import { PAGE, reach, toProblem } from './client'
import { Refused, ServerLost } from './problems'

/** Calls that may take long: they tell how far they are, and end when they are not waited for. */
type JobPath =
  | '/api/v1/casts/remedies'
  | '/api/v1/water/remedies'
  | '/api/v1/water/tuning'
  | '/api/v1/water/depth-table'
  | '/api/v1/water/reach'
  | '/api/v1/tying/cards'
  | '/api/v1/sensitivity'
  | '/api/v1/find'
  | '/api/v1/plans/work'
  | '/api/v1/plans/pack'
/** Those that have a worker of their own, behind all others. */
const BEHIND: JobPath[] = ['/api/v1/find', '/api/v1/plans/work', '/api/v1/plans/pack']
type Call<P extends JobPath> = paths[P]['post']
type Asked<P extends JobPath> = NonNullable<Call<P>['requestBody']>['content']['application/json']
type Told<P extends JobPath> = Call<P>['responses'][200]['content'] extends {
  'application/json': infer A
}
  ? A
  : FileTold

export interface FileTold {
  name: string
  media: string
  base64: string
}

export interface Waiting<A = unknown> {
  signal: AbortSignal
  /** Hears how much of the work is done, from 0 to 1. */
  progress?: (share: number) => void
  /** Takes what the answer has come to while work on it goes on. */
  found?: (soFar: A) => void
}

/**
 * The answer of a job; throws Refused, ServerLost, or an AbortError where the signal ended it.
 * One at a time in this browser, whatever tab asks, and one search beside it: each holds a
 * connection of the few there are.
 */
export async function job<P extends JobPath>(
  path: P,
  body: Asked<P>,
  waiting: Waiting<Told<P>>,
): Promise<Told<P>> {
  const work = () => askFor(path, body, waiting)
  if (!navigator.locks) return work()
  const turn = BEHIND.includes(path) ? 'nine-knots.search' : 'nine-knots.job'
  return navigator.locks.request(turn, { signal: waiting.signal }, work)
}

async function askFor<P extends JobPath>(
  path: P,
  body: Asked<P>,
  { signal, progress, found }: Waiting<Told<P>>,
): Promise<Told<P>> {
  const headers = {
    accept: 'text/event-stream',
    'content-type': 'application/json',
    'nine-knots-page': PAGE,
  }
  const asked = { method: 'POST', headers, body: JSON.stringify(body), signal }
  const response = await reach(new Request(new URL(path, location.origin), asked))
  if (response.status === 503) throw new ServerLost()
  if (!response.ok || !response.body) {
    const said: unknown = await response.json().catch(() => null)
    throw new Refused(toProblem(said, response.status))
  }
  const events = response.body
    .pipeThrough(new TextDecoderStream())
    .pipeThrough(new EventSourceParserStream())
  try {
    for await (const { event, data } of readAll(events)) {
      const told: unknown = JSON.parse(data)
      if (event === 'progress') progress?.((told as { share: number }).share)
      if (event === 'found') found?.(told as Told<P>)
      if (event === 'problem') throw new Refused(toProblem(told, 422))
      if (event === 'answer' || event === 'file') return told as Told<P>
    }
  } catch (error) {
    if (signal.aborted) throw new DOMException('Cancelled.', 'AbortError')
    if (error instanceof TypeError) throw new ServerLost()
    throw error
  }
  throw new ServerLost()
}

async function* readAll<T>(stream: ReadableStream<T>): AsyncGenerator<T> {
  const reader = stream.getReader()
  try {
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return
      yield value
    }
  } finally {
    void reader.cancel().catch(() => undefined)
  }
}
