import { computed } from 'vue'
import type { Evaluation, LaneSpan } from '@/api/client'
import { byDoubling, byProportion } from '@/drawing/scales'

export const PLOT_PX = 40
const HEADROOM_PX = 7

export interface Lane {
  key: 'thickness' | 'bend' | 'hold'
  title: string
  note: string
  /** Whether the fly line is drawn before the leader. */
  withLine: boolean
  upper: (span: LaneSpan) => number
  lower: (span: LaneSpan) => number
}

/** Scales of the three lanes, over the leader, the line's tip and the ghost together. */
export function useLanes(reading: () => Evaluation, ghost: () => Evaluation | null) {
  const height = PLOT_PX - HEADROOM_PX
  const leaders = computed(() => [...reading().spans, ...(ghost()?.spans ?? [])])
  const withLine = computed(() => [...leaders.value, ...reading().line_spans])

  const thick = computed(() =>
    byProportion(Math.max(...withLine.value.map((s) => s.upper_diameter_m)), height),
  )
  const bend = computed(() => {
    const all = withLine.value.flatMap((s) => [s.upper_bend_nm2, s.lower_bend_nm2])
    return byDoubling(Math.min(...all), Math.max(...all), height)
  })
  const hold = computed(() => {
    const joints = reading().joints.map((joint) => joint.holds.si)
    const all = [...leaders.value.map((s) => s.holds_n), ...joints, reading().need.si]
    return byDoubling(Math.min(...all) * 0.8, Math.max(...all), height)
  })

  const lanes = computed<Lane[]>(() => [
    {
      key: 'thickness',
      title: 'Thickness',
      note: '',
      withLine: true,
      upper: (span) => thick.value(span.upper_diameter_m),
      lower: (span) => thick.value(span.lower_diameter_m),
    },
    {
      key: 'bend',
      title: 'Bend',
      note: 'stiffness, by doubling',
      withLine: true,
      upper: (span) => bend.value(span.upper_bend_nm2),
      lower: (span) => bend.value(span.lower_bend_nm2),
    },
    {
      key: 'hold',
      title: 'Hold',
      note: 'breaking load, by doubling',
      withLine: false,
      upper: (span) => hold.value(span.holds_n),
      lower: (span) => hold.value(span.holds_n),
    },
  ])

  /** Pixels from the top of the hold lane for a load in newtons. */
  const holdY = (load_n: number) => PLOT_PX - hold.value(load_n)
  return { lanes, holdY }
}
