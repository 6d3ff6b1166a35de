import createClient from 'openapi-fetch'
import type { components, paths } from '@generated/schema'
import { Refused, ServerLost, type Problem } from './problems'

export type Schemas = components['schemas']
export type Design = Schemas['Design']
export type Leader = Schemas['Leader']
export type Piece = Leader['pieces'][number]
export type Connection = Schemas['Connection']
export type Situation = Schemas['Situation']
export type Fly = Situation['fly']
export type Evaluation = Schemas['Evaluation']
export type Score = Schemas['ScoreReading']
export type LaneSpan = Schemas['LaneSpan']
export type OutlinePart = Schemas['OutlinePart']
export type PieceReading = Schemas['PieceReading']
export type JointReading = Schemas['JointReading']
export type BenchRequest = Schemas['BenchRequest']
export type Edit = NonNullable<BenchRequest['edit']>
export type SentenceEdit = Schemas['SentenceEdit']
export type StockRow = Schemas['StockRow']
export type Catalogue = Schemas['Catalogue']
export type Kit = Schemas['Kit']
export type Settings = Schemas['Settings']
export type System = Settings['units']
export type Revision = Schemas['Revision']
export type LeaderCard = Schemas['LeaderCard']
export type CastReading = Schemas['CastReading']
export type WaterReading = Schemas['WaterReading']
export type WaterForm = Schemas['WaterForm']
export type HoldReading = Schemas['HoldReading']
export type StrokeForm = Schemas['StrokeForm']
export type Movie = Schemas['Movie']
export type ProposalAnswer = Schemas['ProposalAnswer']

/** This page, by which the service deals fairly and knows whose newest question replaces which. */
export const PAGE = crypto.randomUUID()
const MOST_RETRIES = 3
const MOST_WAIT_S = 10
/** Told to the page where the service knows its caller no more. */
export const OUT = 'nine-knots.out'

/** Asks; where the service has too much to do, again when it says so. ServerLost where it is. */
export async function reach(request: Request): Promise<Response> {
  request.headers.set('nine-knots-page', PAGE)
  try {
    for (let tries = 0; ; tries += 1) {
      const response = await fetch(request.clone())
      if (response.status === 401) window.dispatchEvent(new Event(OUT))
      const seconds = Number(response.headers.get('retry-after')) || 1
      const waits = response.status === 429 && seconds <= MOST_WAIT_S && tries < MOST_RETRIES
      if (!waits) return response
      await new Promise((resolve) => setTimeout(resolve, 1000 * seconds))
      request.signal.throwIfAborted()
    }
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new ServerLost()
  }
}

export const api = createClient<paths>({ baseUrl: location.origin, fetch: reach })

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer; throws Refused with the problem that was sent, or ServerLost. */
export async function answered<T>(asked: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await asked
  if (response.ok) return data as T
  if (response.status === 503) throw new ServerLost()
  throw new Refused(toProblem(error, response.status))
}

export function toProblem(error: unknown, status: number): Problem {
  if (error && typeof error === 'object' && 'detail' in error) return error as Problem
  return { code: 'unexpected', status, detail: 'The server gave no reason.', where: '', hint: '' }
}
