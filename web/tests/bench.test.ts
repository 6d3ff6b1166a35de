import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { BenchRequest, Design, Evaluation } from '@/api/client'
import { useBench } from '@/bench/useBench'

vi.mock('@/bench/draft/identity', () => ({ draftOfThisTab: async () => 'draft-of-test' }))

const design = (title: string) => ({ title, notes: '', situation: {}, leader: {} }) as Design
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  })

/** A server that answers a split by one more “+” in the title, or as `next` says. */
let next: (() => Response | never) | null = null
const asked: BenchRequest[] = []

beforeEach(() => {
  setActivePinia(createPinia())
  asked.length = 0
  next = null
  vi.stubGlobal('fetch', async (request: Request) => {
    const body = (await request.clone().json()) as BenchRequest
    if (next) {
      const answer = next
      next = null
      return answer()
    }
    asked.push(body)
    const after = body.edit ? design(`${body.design.title}+`) : body.design
    return json({ design: after, evaluation: {} as Evaluation })
  })
})

const split = { act: 'split', piece: 0, share: 0.5 } as const

describe('the bench', () => {
  it('builds each change on the one before', async () => {
    const bench = useBench()
    await bench.openDesign(design('a'))
    await Promise.all([bench.tryEdit(split), bench.tryEdit(split)])
    expect(bench.design?.title).toBe('a++')
    expect(asked.map((one) => one.design.title)).toEqual(['a', 'a', 'a+'])
  })

  it('undoes and redoes through the server', async () => {
    const bench = useBench()
    await bench.openDesign(design('a'))
    await bench.tryEdit(split)
    await bench.change({ kind: 'undo' })
    expect(bench.design?.title).toBe('a')
    await bench.change({ kind: 'redo' })
    expect(bench.design?.title).toBe('a+')
  })

  it('keeps the design and tells why when a change is refused', async () => {
    const bench = useBench()
    await bench.openDesign(design('a'))
    next = () => json({ code: 'edit-refused', detail: 'No.', hint: 'Try less.' }, 422)
    await expect(bench.tryEdit(split)).rejects.toThrow('No.')
    expect(bench.design?.title).toBe('a')
  })

  it('waits for a lost server and then goes on', async () => {
    const bench = useBench()
    await bench.openDesign(design('a'))
    next = () => {
      throw new TypeError('connection refused')
    }
    const done = bench.tryEdit(split)
    await vi.waitFor(() => expect(bench.lost).toBe(true))
    await done
    expect([bench.lost, bench.design?.title]).toEqual([false, 'a+'])
  })

  it('a drag is one step of undo, and one that is called off is none', async () => {
    const bench = useBench()
    await bench.openDesign(design('a'))
    await bench.change({ kind: 'preview', edit: split })
    await bench.change({ kind: 'preview', edit: split })
    await bench.change({ kind: 'settle' })
    expect(bench.design?.title).toBe('a+')
    await bench.change({ kind: 'undo' })
    expect(bench.design?.title).toBe('a')
    await bench.change({ kind: 'preview', edit: split })
    await bench.change({ kind: 'revert' })
    expect(bench.design?.title).toBe('a')
    await bench.change({ kind: 'redo' })
    expect(bench.design?.title).toBe('a+')
  })

  it('knows whether it stands as saved, on either side of an opening', async () => {
    const bench = useBench()
    const saved = (id: string) => ({ leader_id: id, revision: 1, design: design(id) })
    await bench.openDesign(design('one'), saved('one'))
    expect(bench.changedSinceSaved).toBe(false)
    await bench.openDesign(design('two'), saved('two'))
    await bench.tryEdit(split)
    expect([bench.saved?.leader_id, bench.changedSinceSaved]).toEqual(['two', true])
    await bench.change({ kind: 'undo' })
    await bench.change({ kind: 'undo' })
    expect([bench.saved?.leader_id, bench.changedSinceSaved]).toEqual(['one', false])
  })

  it('begins with what was opened by hand, not with what is opened at the start', async () => {
    const bench = useBench()
    const saved = (title: string) => ({ leader_id: title, revision: 1, design: design(title) })
    const shelf: ((answer: Response) => void)[] = []
    vi.stubGlobal('fetch', async (request: Request) => {
      if (request.url.endsWith('/api/v1/leaders'))
        return new Promise<Response>((resolve) => shelf.push(resolve))
      if (request.method === 'GET') return json(saved(request.url.split('/').at(-1)!))
      const body = (await request.clone().json()) as BenchRequest
      return json({ design: body.design, evaluation: {} as Evaluation })
    })
    const beginning = bench.begin('me', true)
    await vi.waitFor(() => expect(shelf).toHaveLength(1))
    await bench.openLeader('by-hand')
    shelf[0]!(json([saved('newest')]))
    await beginning
    expect(bench.design?.title).toBe('by-hand')
  })

  it('says so where the browser stores no draft, until it does again', async () => {
    const bench = useBench()
    await bench.begin('angler', true)
    const store = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    await bench.openDesign(design('a'))
    expect(bench.notStored).toContain('full')
    store.mockRestore()
    await bench.tryEdit(split)
    expect([bench.notStored, bench.design?.title]).toEqual(['', 'a+'])
  })
})
