<script setup lang="ts">
import type { Schemas } from '@/api/client'
import type { Axis } from './useAxis'

defineProps<{ ticks: Schemas['Tick'][]; axis: Axis; y: number }>()
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
    <g v-for="tick in ticks" :key="tick.at_m" :transform="`translate(${axis.x(tick.at_m)} ${y})`">
      <line y2="5" />
      <text y="18" class="figure">{{ tick.text }}</text>
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
