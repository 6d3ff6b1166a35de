import { dayText } from '@/widgets/dayText'
import { mount } from '@vue/test-utils'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import type { HoldReading, Schemas } from '@/api/client'
import { usePull } from '@/bench/hold/usePull'
import BeliefPicture from '@/knots/BeliefPicture.vue'
import KnotPicture from '@/knots/KnotPicture.vue'
import TieHistory from '@/knots/TieHistory.vue'

const q = (si: number) => ({ si, text: `${si} lb` })

/** Loads of 0 to 20 in eleven points; two like leaders that break at 9 and at 12. */
function reading(): HoldReading {
  const points = Array.from({ length: 11 }, (_, i) => ({
    load: q(2 * i),
    broken: 0,
    text: `at ${2 * i}`,
  }))
  const specimens = [9, 12].map((load) => ({ load: q(load), at_m: 1, words: `broke at ${load}` }))
  return { mean: q(10), points, specimens } as unknown as HoldReading
}

function withSetup<T>(use: () => T): T {
  let made: T | undefined
  mount({ setup: () => ((made = use()), () => null) })
  return made as T
}

describe('the pull', () => {
  it('by hand breaks the like leader at its load and not before', () => {
    const pull = withSetup(() => usePull(() => reading()))
    pull.drag(4)
    expect(pull.load_n.value).toBe(8)
    expect(pull.broken.value).toBeUndefined()
    pull.drag(5)
    expect(pull.broken.value?.words).toBe('broke at 9')
    pull.drag(99)
    expect(pull.at.value).toBe(10)
  })

  it('where motion is unwelcome breaks one after another at once', () => {
    vi.stubGlobal('matchMedia', (query: string) => ({
      matches: query.includes('reduce'),
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }))
    const found = reading()
    const pull = withSetup(() => usePull(() => found))
    for (const load of [9, 12, 9]) {
      pull.pull()
      expect(pull.broken.value?.load.si).toBe(load)
      expect(pull.pulling.value).toBe(false)
    }
    vi.unstubAllGlobals()
  })

  it('begins anew when the leader changes', async () => {
    const now = ref(reading())
    const pull = withSetup(() => usePull(() => now.value))
    pull.drag(9)
    now.value = reading()
    await nextTick()
    expect(pull.at.value).toBe(0)
    expect(pull.broken.value).toBeUndefined()
  })
})

const stroke = (since: number, tag = false) => ({
  part: 'upper' as const,
  tag,
  over: since === 1,
  since,
  width: 2,
  path: 'M0 0L1 1',
})
const DRAWING: Schemas['Drawing'] = {
  captions: ['Lay.', 'Wind.', 'Draw.'],
  box: [0, -10, 40, 20],
  work: [stroke(0), stroke(0.5), stroke(1, true)],
  drawn_up: [[stroke(0)], [stroke(0), stroke(0, true)]],
}

async function picture(step: number, mirrored = false) {
  vi.stubGlobal(
    'fetch',
    vi.fn(
      async () =>
        new Response(JSON.stringify(DRAWING), { headers: { 'content-type': 'application/json' } }),
    ),
  )
  const made = mount(KnotPicture, {
    props: { knot: 'blood', step, mirrored },
    global: { plugins: [VueQueryPlugin] },
  })
  await vi.waitFor(() => expect(made.find('svg').exists()).toBe(true))
  return made
}

describe('the drawing of a knot', () => {
  afterEach(() => vi.unstubAllGlobals())

  it('shows what the work has reached, with gaps where it lies over', async () => {
    expect((await picture(0)).findAll('.strand')).toHaveLength(1)
    const made = await picture(1)
    expect(made.findAll('.strand')).toHaveLength(3)
    expect(made.findAll('.strand--tag')).toHaveLength(1)
    expect(made.findAll('.gap')).toHaveLength(1)
    expect(made.find('svg').attributes('aria-label')).toBe('Wind.')
  })

  it('is drawn up in the last step, and whole below the first', async () => {
    expect((await picture(1.4)).findAll('.strand')).toHaveLength(1)
    expect((await picture(2)).findAll('.strand')).toHaveLength(2)
    expect((await picture(-1)).findAll('.strand')).toHaveLength(3)
  })

  it('is mirrored about its own middle', async () => {
    expect((await picture(1, true)).find('g').attributes('transform')).toBe(
      'translate(40 0) scale(-1 1)',
    )
  })
})

describe('what was learnt of a knot', () => {
  it('is drawn with each pull, the odd and the set aside told apart', () => {
    const test = (share: number, more = {}) => ({
      test_id: `${share}`,
      share,
      broke: '',
      kept: '',
      odd: false,
      set_aside: false,
      ...more,
    })
    const curve = [0.6, 0.8, 1].map((share) => ({ share, height: 1 - Math.abs(share - 0.8) }))
    const made = mount(BeliefPicture, {
      props: {
        belief: { words: 'w', low: 0.6, high: 1, prior: curve, posterior: curve },
        tests: [test(0.8), test(0.65, { odd: true }), test(0.7, { set_aside: true })],
      } as never,
    })
    expect(made.findAll('.test')).toHaveLength(2)
    expect(made.findAll('.test--odd')).toHaveLength(1)
    expect(made.findAll('.aside')).toHaveLength(1)
    expect(made.find('.posterior').attributes('d')).toMatch(/^M10\.0 .*L410\.0 /)
  })

  it('is drawn attempt by attempt, slips as crosses', () => {
    const ties = [
      { seconds: 60, rated: 'slipped' as const, day: '2026-05-01' },
      { seconds: 30, rated: 'good' as const, day: '2026-05-02' },
    ]
    const made = mount(TieHistory, { props: { ties, title: 'nail knot' } })
    expect(made.findAll('.slipped')).toHaveLength(1)
    expect(made.findAll('.tie--good')).toHaveLength(1)
    expect(made.attributes('aria-label')).toContain(`${dayText('2026-05-02')}: 30 s, good`)
  })
})
