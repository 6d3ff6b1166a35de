import { computed, ref } from 'vue'
import { useBench } from '../useBench'
import type { Axis } from '../strip/useAxis'
import { useZoom } from '../strip/useZoom'

const JOINT_REACH_PX = 10

/**
 * The crosshair through all lanes: under the pointer, or else on what is selected. It answers the
 * place and what Python says of it.
 */
export function useCrosshair(axis: () => Axis) {
  const bench = useBench()
  const zoom = useZoom()
  const pointer = ref<number | null>(null)

  const at_m = computed(() => {
    const reading = bench.evaluation
    if (!reading) return 0
    const px = pointer.value
    if (px !== null) return Math.min(reading.length.si, Math.max(0, axis().m(px)))
    return zoom.at_m
  })

  const joint = computed(() => {
    const reach = JOINT_REACH_PX / axis().perM
    return (
      bench.evaluation?.joints.find((joint) => Math.abs(joint.at_m - at_m.value) < reach) ?? null
    )
  })

  const span = computed(
    () =>
      bench.evaluation?.spans.find(
        (span) => span.from_m <= at_m.value && at_m.value <= span.to_m,
      ) ?? null,
  )

  const words = computed(() => {
    if (joint.value) {
      const { title, flag, trouble, bend_step, passed, holds, kept, chance } = joint.value
      const named = trouble ? `${flag}: ` : ''
      return {
        thickness: title,
        bend: [named + bend_step, passed].filter(Boolean).join(', '),
        hold: `${holds.text}, ${kept}; goes first in ${Math.round(chance * 100)} of 100 breaks`,
      }
    }
    const here = span.value
    return { thickness: here?.thickness ?? '', bend: here?.bend ?? '', hold: here?.hold ?? '' }
  })

  return { pointer, at_m, joint, words }
}
