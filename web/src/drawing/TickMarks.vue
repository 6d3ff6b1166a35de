<script setup lang="ts">
/** Marks along a ruler, in pixels from its beginning: to the right along a level one, or down. */
withDefaults(
  defineProps<{
    ticks: { at: number; text?: string }[]
    /** Where the ruler begins. */
    x?: number
    y?: number
    down?: boolean
    /** How far the words of a level ruler stand below it. */
    drop?: number
  }>(),
  { x: 0, y: 0, down: false, drop: 18 },
)
const LONG = 6
</script>

<template>
  <g class="ticks" :transform="`translate(${x} ${y})`">
    <g
      v-for="tick in ticks"
      :key="tick.at"
      :transform="down ? `translate(0 ${tick.at})` : `translate(${tick.at} 0)`"
    >
      <path :d="down ? `M0 0h${LONG}` : `M0 0v${LONG}`" />
      <text v-if="tick.text && down" x="11" y="4" class="figure">{{ tick.text }}</text>
      <text v-else-if="tick.text" :y="drop" class="figure level">{{ tick.text }}</text>
    </g>
  </g>
</template>

<style scoped>
path {
  stroke: var(--hair-strong);
}

text {
  fill: var(--ink-2);
  font-size: 12px;
}

.level {
  text-anchor: middle;
}
</style>
