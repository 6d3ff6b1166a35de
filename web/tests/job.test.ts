import { effectScope } from 'vue'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, PAGE } from '@/api/client'
import { job } from '@/api/job'
import { Refused, ServerLost } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { useJob } from '@/api/useJob'

const tune = (signal = new AbortController().signal, progress?: (share: number) => void) =>
  job('/api/water/tuning', { bench: 'b', design: {} } as never, { signal, progress })
const events = (...told: [string, unknown][]) =>
  told.map(([event, data]) => `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)

/** A response whose stream gives these pieces, and then ends or stays open. */
function streaming(pieces: string[], ends = true): Response {
  const bytes = new TextEncoder()
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of pieces) controller.enqueue(bytes.encode(piece))
      if (ends) controller.close()
    },
  })
  return new Response(body, { headers: { 'content-type': 'text/event-stream' } })
}

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a job', () => {
  it('tells its progress and then its answer, however the stream is cut into pieces', async () => {
    const text = events(
      ['progress', { share: 0.25 }],
      ['progress', { share: 0.5 }],
      ['answer', { lines: [] }],
    ).join('')
    const asked: Request[] = []
    vi.stubGlobal('fetch', async (request: Request) => {
      asked.push(request)
      return streaming([...text])
    })
    const heard: number[] = []
    expect(await tune(undefined, (share) => heard.push(share))).toEqual({ lines: [] })
    expect(heard).toEqual([0.25, 0.5])
    expect(asked[0]?.headers.get('accept')).toBe('text/event-stream')
    expect(asked[0]?.headers.get('nine-knots-page')).toBe(PAGE)
  })

  it('refuses with the problem that comes on the stream or instead of it', async () => {
    const problem = { code: 'too-long', status: 422, detail: 'Too long.', mend: 'Ask for less.' }
    vi.stubGlobal('fetch', async () => streaming(events(['problem', problem])))
    await expect(tune()).rejects.toThrow('Too long.')
    vi.stubGlobal('fetch', async () => new Response(JSON.stringify(problem), { status: 422 }))
    await expect(tune()).rejects.toBeInstanceOf(Refused)
  })

  it('is lost where the stream ends without an answer, or the database is away', async () => {
    vi.stubGlobal('fetch', async () => streaming(events(['progress', { share: 0.5 }])))
    await expect(tune()).rejects.toBeInstanceOf(ServerLost)
    vi.stubGlobal('fetch', async () => new Response('', { status: 503 }))
    await expect(tune()).rejects.toBeInstanceOf(ServerLost)
  })
})

describe('one job at a time', () => {
  it('drops the older one’s answer, and stops at a word', async () => {
    const scope = effectScope()
    const work = scope.run(() => useJob<string>())!
    let letGo: (told: string) => void = () => undefined
    const slow = work.run(({ signal }) => {
      signal.addEventListener('abort', () => letGo('too late'))
      return new Promise((resolve) => (letGo = resolve))
    })
    expect(work.share.value).toBe(0)
    await work.run(async () => 'newer')
    await slow
    expect(work.found.value).toBe('newer')

    const stopped = work.run(() => new Promise((resolve) => (letGo = resolve)))
    work.stop()
    letGo('too late')
    await stopped
    expect([work.found.value, work.share.value, work.stopped.value]).toEqual([null, null, true])
    scope.stop()
  })

  it('says a refusal, and nothing where the server is lost', async () => {
    const work = effectScope().run(() => useJob<string>())!
    const problem = { code: 'x', status: 422, detail: 'Not that.', mend: 'This.' }
    await work.run(() => Promise.reject(new Refused(problem)))
    expect(work.refused.value).toBe('Not that. This.')
    await work.run(() => Promise.reject(new ServerLost()))
    expect(work.refused.value).toBe('')
  })
})

describe('an intended save', () => {
  it('goes by one key till it is done, and by another for another', async () => {
    const once = useIntent()
    const keys: string[] = []
    const act = (fails: boolean) => async (header: { 'idempotency-key': string }) => {
      keys.push(header['idempotency-key'])
      if (fails) throw new ServerLost()
    }
    await expect(once({ a: 1 }, act(true))).rejects.toBeInstanceOf(ServerLost)
    await once({ a: 1 }, act(false))
    await once({ a: 1 }, act(false))
    await expect(once({ a: 2 }, act(true))).rejects.toBeInstanceOf(ServerLost)
    expect(keys[0]).toBe(keys[1])
    expect(new Set(keys).size).toBe(3)
  })
})

describe('a service that has too much to do', () => {
  it('is asked again when it says so', async () => {
    vi.useFakeTimers()
    let tries = 0
    vi.stubGlobal('fetch', async () => {
      tries += 1
      const busy = tries < 3
      return new Response('[]', {
        status: busy ? 429 : 200,
        headers: { 'retry-after': '2', 'content-type': 'application/json' },
      })
    })
    const asked = api.GET('/api/kit')
    await vi.advanceTimersByTimeAsync(2000)
    expect(tries).toBe(2)
    await vi.advanceTimersByTimeAsync(2000)
    expect((await asked).response.status).toBe(200)
  })
})
