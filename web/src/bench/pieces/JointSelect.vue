<script setup lang="ts">
import { computed } from 'vue'
import { useCatalogue } from '@/api/queries'
import PickOne from '@/widgets/PickOne.vue'
import { useBench } from '../useBench'
import { tieGroups, tieKey } from './ties'

/** How a joint is tied: the knots, loops, ring or swivel that may go there. */
const props = defineProps<{ joint: number; id?: string }>()
const bench = useBench()
const { data: catalogue } = useCatalogue()
const reading = computed(() => bench.evaluation?.joints[props.joint])
const tied = computed(() => bench.design?.leader.joints[props.joint])
const ties = computed(() => (reading.value && catalogue.value?.ties[reading.value.place]) ?? [])

function tie(key: string) {
  const chosen = ties.value.flatMap((group) => group.ties).find((t) => tieKey(t.joint) === key)
  if (!chosen) return
  const made = { ...chosen.joint, dropper: tied.value?.dropper ?? null }
  bench.edit({ act: 'set-joint', joint: props.joint, tied: made })
}
</script>

<template>
  <PickOne
    :id="id"
    :label="id ? undefined : `Knot at joint ${joint}`"
    :groups="tieGroups(ties)"
    :otherwise="reading?.title"
    :model-value="tied ? tieKey(tied) : ''"
    @update:model-value="tie"
  />
</template>
