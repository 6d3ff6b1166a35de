import { useRouter } from 'vue-router'
import type { paths } from '@generated/schema'
import { answered, api, type Leader } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useBench } from './useBench'

export type DayKind = paths['/api/v1/day/{kind}']['get']['parameters']['path']['kind']

/** Kinds of fishing that a new leader is for. */
export const DAY_KINDS: Record<DayKind, string> = {
  dry: 'Dry fly',
  nymph: 'Nymph',
  streamer: 'Streamer',
  salt: 'Salt',
  teeth: 'Pike and other teeth',
  'tight line': 'Tight line',
}

/** Ways to begin a new leader, which then lies on the bench. */
export function useNewLeader() {
  const bench = useBench()
  const settings = useSettings()
  const router = useRouter()

  /** On a day that is filled in from what is owned. */
  async function forKind(kind: DayKind) {
    const params = { path: { kind } }
    await bench.startOver(await answered(api.GET('/api/v1/day/{kind}', { params })))
    await router.push('/')
  }

  /** One that is made already, on the day at hand. */
  async function put(leader: Leader, title: string) {
    if (!bench.situation) return
    await bench.openDesign({ title, notes: '', situation: bench.situation, leader })
  }

  /** A butt alone, to build on by hand. */
  async function fromNothing() {
    if (!bench.situation) return
    const body = { situation: bench.situation, units: settings.units }
    await put(await answered(api.POST('/api/v1/proposals/bare', { body })), 'New leader')
  }

  return { forKind, put, fromNothing }
}
