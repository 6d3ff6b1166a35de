<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'
import type { ToPixels } from '@/drawing/paths'
import TickMarks from '@/drawing/TickMarks.vue'
import FlowArrows from './FlowArrows.vue'

/** Behind the rig: the water with its zone and its flow, the bed, a ruler of depth. */
const props = defineProps<{
  reading: WaterReading
  px: ToPixels
  floor: number
  width: number
  rulerAt: number
}>()
const FLOOR_PX = 22
const surface = computed(() => props.px(0, props.reading.depth.si)[1])
const depths = computed(() =>
  props.reading.depth_ticks.slice(1).map(({ at_m, text }) => ({
    at: props.px(0, props.reading.depth.si - at_m)[1],
    text,
  })),
)
const zoneTop = computed(() => props.px(0, props.reading.zone_m)[1])
</script>

<template>
  <g>
    <rect x="0" :y="surface" :width="width" :height="floor - surface" class="water" />
    <rect x="0" :y="zoneTop" :width="width" :height="floor - zoneTop" class="zone" />
    <rect x="0" :y="floor" :width="width" :height="FLOOR_PX" class="bed" />
    <line x1="0" :x2="width" :y1="surface" :y2="surface" class="surface" />
    <FlowArrows :flow="reading.flow" :x="10" :px="px" />
    <TickMarks :ticks="depths" down :x="rulerAt + 14" />
  </g>
</template>

<style scoped>
.water {
  fill: var(--little);
  fill-opacity: 0.09;
}

.zone {
  fill: var(--right);
  fill-opacity: 0.13;
}

.bed {
  fill: var(--nylon-soft);
  fill-opacity: 0.35;
}

.surface {
  stroke: var(--little);
  stroke-width: 1.5;
}
</style>
