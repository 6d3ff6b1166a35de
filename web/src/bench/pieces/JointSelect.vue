<script setup lang="ts">
import { computed } from 'vue'
import type { Joint } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { useBench } from '../useBench'
import { optionsFor, valueOf } from './jointOptions'

/** How a joint is tied: the knots, loops, ring or swivel that may go there. */
const props = defineProps<{ joint: number; id?: string }>()
const bench = useBench()
const { data: catalogue } = useCatalogue()
const tied = computed(() => bench.design?.leader.joints[props.joint])
const groups = computed(() => {
  const last = (bench.design?.leader.joints.length ?? 0) - 1
  const place = props.joint === 0 ? 'line' : props.joint === last ? 'fly' : 'between'
  return catalogue.value ? optionsFor(place, catalogue.value.knots, tied.value) : []
})

function tie(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  const chosen = groups.value.flatMap((g) => g.options).find((one) => valueOf(one.joint) === value)
  if (!chosen) return
  const joint: Joint = { ...chosen.joint, dropper: tied.value?.dropper ?? null }
  bench.edit({ act: 'set-joint', joint: props.joint, tied: joint })
}
</script>

<template>
  <select
    :id="id"
    class="pick"
    :aria-label="id ? undefined : `Knot at joint ${joint}`"
    :value="tied ? valueOf(tied) : ''"
    @change="tie"
  >
    <optgroup v-for="group in groups" :key="group.title" :label="group.title">
      <option v-for="one in group.options" :key="one.words" :value="valueOf(one.joint)">
        {{ one.words }}
      </option>
    </optgroup>
  </select>
</template>
