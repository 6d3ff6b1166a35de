<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import TickMarks from '@/drawing/TickMarks.vue'
import type { Axis } from './useAxis'

const props = defineProps<{ ticks: Schemas['Tick'][]; axis: Axis; y: number }>()
const LEAST_APART_PX = 40
/** Every mark is drawn; so many of them are worded as have room. */
const every = computed(() => {
  const [first, second] = props.ticks
  if (!first || !second) return 1
  const apart = props.axis.x(second.at_m) - props.axis.x(first.at_m)
  return Math.max(1, Math.ceil(LEAST_APART_PX / apart))
})
const marks = computed(() =>
  props.ticks.map(({ at_m, text }, i) => ({
    at: props.axis.x(at_m),
    text: i % every.value ? '' : text,
  })),
)
</script>

<template>
  <g aria-hidden="true" class="ruler">
    <line
      v-if="ticks.length"
      :x1="axis.x(0)"
      :x2="axis.x(ticks[ticks.length - 1]!.at_m)"
      :y1="y"
      :y2="y"
    />
    <TickMarks :ticks="marks" :y="y" />
  </g>
</template>

<style scoped>
line {
  stroke: var(--hair-strong);
}
</style>
