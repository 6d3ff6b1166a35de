<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'
import type { ToPixels } from '@/drawing/paths'

/** How the stream runs from the bed to the surface, as arrows. */
const props = defineProps<{ flow: WaterReading['flow']; x: number; px: ToPixels }>()
const LONGEST = 66
const fastest = computed(() => Math.max(...props.flow.map((item) => item.speed_m_s)))
const arrows = computed(() =>
  props.flow
    .filter((item) => item.speed_m_s > 0.02)
    .map((item) => ({
      y: props.px(0, item.height_m)[1],
      long: (item.speed_m_s / fastest.value) * LONGEST,
    })),
)
const top = computed(() => props.flow.at(-1))
</script>

<template>
  <g class="flow" aria-hidden="true">
    <path
      v-for="(arrow, i) in arrows"
      :key="i"
      :d="`M${x} ${arrow.y}h${arrow.long}m-4 -2.5l4 2.5l-4 2.5`"
    />
    <text v-if="top" :x="x" :y="px(0, top.height_m)[1] - 6" class="figure">{{ top.text }}</text>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--little);
  stroke-width: 1.2;
}

text {
  fill: var(--little);
  font-size: 12px;
}
</style>
