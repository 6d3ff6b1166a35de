import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { api, PAGE } from '@/api/client'
import { job, type Waiting } from '@/api/job'
import { Refused, ServerLost } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { useAnswer } from '@/api/useAnswer'

const tune = (signal = new AbortController().signal, progress?: (share: number) => void) =>
  job('/api/v1/water/tuning', { bench: 'b', design: {} } as never, { signal, progress })
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
    const problem = { code: 'too-long', status: 422, detail: 'Too long.', hint: 'Ask for less.' }
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

/** What a page sees of the answer to a question that changes. */
function asking<A>(
  fetch: (asked: string, waiting: Waiting) => Promise<A>,
  options: Parameters<typeof useAnswer>[2] = {},
) {
  const question = ref<string | null>('first')
  let seen!: ReturnType<typeof useAnswer<string, A>>
  const page = mount(
    {
      setup() {
        seen = useAnswer(() => question.value, fetch, options)
        return () => null
      },
    },
    { global: { plugins: [VueQueryPlugin] } },
  )
  return { question, seen, page }
}

describe('the answer to a question that changes', () => {
  it('is that to the newest, and the older one is ended', async () => {
    const ended: string[] = []
    const { question, seen } = asking((asked, { signal, progress }) => {
      progress?.(0.5)
      if (asked === 'second') return Promise.resolve('newer')
      signal.addEventListener('abort', () => ended.push(asked))
      return new Promise<string>(() => undefined)
    })
    await flushPromises()
    expect(seen.share.value).toBe(0.5)
    question.value = 'second'
    await flushPromises()
    expect([seen.answer.value, seen.fresh.value, ended]).toEqual(['newer', true, ['first']])
    question.value = null
    await flushPromises()
    expect([seen.answer.value, seen.share.value]).toEqual([null, null])
  })

  it('is kept till the next comes where that is wanted, and asked once all is quiet', async () => {
    vi.useFakeTimers()
    const asked: string[] = []
    const fetch = async (question: string) => (asked.push(question), question)
    const { question, seen } = asking(fetch, { quiet: 100, keep: true })
    await vi.advanceTimersByTimeAsync(150)
    question.value = 'second'
    await vi.advanceTimersByTimeAsync(50)
    expect([seen.answer.value, seen.fresh.value]).toEqual(['first', false])
    question.value = 'third'
    await vi.advanceTimersByTimeAsync(150)
    expect([seen.answer.value, seen.fresh.value]).toEqual(['third', true])
    expect(asked).toEqual(['first', 'third'])
  })

  it('is stopped at a word, and asked once more at another', async () => {
    let times = 0
    const { seen } = asking(() =>
      (times += 1) > 1 ? Promise.resolve('after all') : new Promise<string>(() => undefined),
    )
    await flushPromises()
    seen.stop()
    await flushPromises()
    expect([seen.answer.value, seen.share.value, seen.stopped.value]).toEqual([null, null, true])
    seen.again()
    await flushPromises()
    expect([seen.answer.value, seen.stopped.value]).toEqual(['after all', false])
  })

  it('is a refusal in words, and waits for a server that is lost', async () => {
    vi.useFakeTimers()
    const problem = { code: 'x', status: 422, detail: 'Not that.', hint: 'This.' }
    let lost = 2
    const { question, seen } = asking((asked) => {
      if (asked === 'second') return Promise.reject(new Refused(problem))
      return lost-- > 0 ? Promise.reject(new ServerLost()) : Promise.resolve('back')
    })
    await vi.advanceTimersByTimeAsync(100)
    expect([seen.answer.value, seen.refused.value]).toEqual([null, ''])
    await vi.advanceTimersByTimeAsync(2000)
    expect(seen.answer.value).toBe('back')
    question.value = 'second'
    await vi.advanceTimersByTimeAsync(10)
    expect([seen.answer.value, seen.refused.value]).toEqual([null, 'Not that. This.'])
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
    const asked = api.GET('/api/v1/kit')
    await vi.advanceTimersByTimeAsync(2000)
    expect(tries).toBe(2)
    await vi.advanceTimersByTimeAsync(2000)
    expect((await asked).response.status).toBe(200)
  })
})
