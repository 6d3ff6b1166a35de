import { useRouter } from 'vue-router'
import type { paths } from '@generated/schema'
import { answered, api } from '@/api/client'
import { attempt } from '@/shell/attempt'
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

/** Begins a new leader on a day that is filled in from what is owned. */
export function useNewLeader() {
  const bench = useBench()
  const router = useRouter()
  return (kind: DayKind) =>
    attempt(async () => {
      const params = { path: { kind } }
      await bench.startOver(await answered(api.GET('/api/v1/day/{kind}', { params })))
      await router.push('/')
    })
}
