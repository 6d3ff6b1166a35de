import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createApp, nextTick } from 'vue'
import type { Design, WaterReading } from '@/api/client'
import { useBench } from '@/bench/useBench'
import { useWater } from '@/bench/water/useWater'

interface Asked {
  design: Design
  fished: Record<string, string | number>
  movie: boolean
  slack_m: number | null
}

const design = (title: string, wish = 'strip') =>
  ({ title, notes: '', situation: { wish }, leader: { pieces: [title] } }) as unknown as Design
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

/** Answers to water come when they are let go, in whatever order; casts never come. */
const asked: Asked[] = []
const waiting: ((refused?: string) => void)[] = []

beforeEach(() => {
  const pinia = createPinia()
  createApp({}).use(pinia).use(VueQueryPlugin)
  setActivePinia(pinia)
  asked.length = 0
  waiting.length = 0
  localStorage.clear()
  vi.stubGlobal('fetch', async (request: Request) => {
    if (!request.url.endsWith('/api/v1/water')) return new Promise<Response>(() => {})
    const body = (await request.clone().json()) as Asked
    asked.push(body)
    return new Promise<Response>((resolve) =>
      waiting.push((refused) =>
        resolve(
          refused
            ? json(
                {
                  code: refused === 'superseded' ? refused : 'unreadable',
                  status: 422,
                  detail: refused,
                  where: 'count',
                  hint: '',
                },
                422,
              )
            : json({ words: `${named(body)} ${body.fished.count ?? ''}` }),
        ),
      ),
    )
  })
})

const named = (one: Asked) => String(one.design.leader.pieces[0])
const words = (reading: WaterReading | null) => reading?.words
const settle = () => new Promise((resolve) => setTimeout(resolve, 0))

describe('the water', () => {
  it('shows the newest rig, whatever order answers come in', async () => {
    const bench = useBench()
    bench.design = design('first')
    const water = useWater()
    await settle()
    bench.design = design('second')
    await nextTick()
    await settle()
    expect(asked.map(named)).toEqual(['first', 'second'])
    waiting[1]!()
    await settle()
    waiting[0]!()
    await settle()
    expect(words(water.reading)).toBe('second ')
  })

  it('asks for the movie only while it is seen', async () => {
    const bench = useBench()
    bench.design = design('rig')
    const water = useWater()
    await settle()
    water.seen = true
    await nextTick()
    await settle()
    expect(asked.map((one) => one.movie)).toEqual([false, true])
    expect(asked.every((one) => one.slack_m === null)).toBe(true)
  })

  it('keeps two figures said one right after the other', async () => {
    const bench = useBench()
    bench.design = design('rig')
    const water = useWater()
    await settle()
    const both = [water.say('count', '12 s'), water.say('wanted', '9 ft')]
    await settle()
    for (const answer of waiting) answer()
    await Promise.all(both)
    expect(water.fished).toMatchObject({ count: '12 s', wanted: '9 ft' })
  })

  it('says nothing of a figure that was said again before its answer came', async () => {
    const bench = useBench()
    bench.design = design('rig')
    const water = useWater()
    await settle()
    const twice = [water.say('count', '12 s'), water.say('count', '12 s')]
    await settle()
    waiting[1]!('superseded')
    waiting[2]!()
    await Promise.all(twice)
    expect(water.fished.count).toBe('12 s')
  })

  it('keeps the old figure where Python refuses the new one', async () => {
    const bench = useBench()
    bench.design = design('rig')
    const water = useWater()
    await settle()
    const said = water.say('count', 'long')
    await settle()
    waiting[1]!('“long” cannot be read.')
    await expect(said).rejects.toThrow()
    expect(water.fished.count).toBe('')
    waiting[0]!('This rig lies on the bed.')
    await settle()
    expect(water.refused).toContain('lies on the bed')
  })
})
