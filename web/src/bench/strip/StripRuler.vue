<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
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
    <g
      v-for="(tick, i) in ticks"
      :key="tick.at_m"
      :transform="`translate(${axis.x(tick.at_m)} ${y})`"
    >
      <line y2="5" />
      <text v-if="i % every === 0" y="18" class="figure">{{ tick.text }}</text>
    </g>
  </g>
</template>

<style scoped>
line {
  stroke: var(--hair-strong);
}

text {
  fill: var(--ink-2);
  font-size: 12px;
  text-anchor: middle;
}
</style>
