import type { Schemas } from '@/api/client'
import type { RigNow } from './state'

type State = Schemas['PackedRigState']
const GONE = {
  tippet: 'Its tippet is gone: tie on a new one, then tap New tippet.',
  lower: 'All below the ring is gone: put on another lower rig, then tap New tippet.',
  rig: 'This rig is gone: take another from the wallet.',
} as const

/** A rig as it is now, out of the states that were worked out beforehand; and why it is renewed. */
export function rigNow(
  rig: Schemas['PackedRig'],
  now: RigNow | undefined,
): { state: State | undefined; renew: string } {
  const worn = rig.states.find((state) => state.wear === (now?.wear ?? 'new')) ?? rig.states[0]
  const row = worn?.by_cuts ?? []
  const state = row[Math.min(now?.cuts ?? 0, row.length - 1)]
  return { state, renew: now?.gone ? GONE[now.gone] : (state?.renew ?? '') }
}
