<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'
import type { ToPixels } from '@/drawing/paths'
import { timeMarks, wayOf } from './section'

/** The way of every fly, with seconds marked on the point fly's, and its way in other cases. */
const props = defineProps<{ reading: WaterReading; px: ToPixels }>()
const ways = computed(() => {
  const reel = props.reading.movie
  if (!reel) return []
  return props.reading.flies.map((fly) => ({
    way: wayOf(reel.frames, fly.node, reel.frames.length - 1, props.px),
    marks: fly.joint === null || fly.joint === undefined ? timeMarks(reel, fly.node, props.px) : [],
  }))
})
const asides = computed(() =>
  props.reading.asides.map((aside) => ({
    title: aside.title,
    path: wayOf(
      aside.way.map((place) => [place]),
      0,
      aside.way.length - 1,
      props.px,
    ),
    end: props.px(...(aside.way.at(-1) ?? [0, 0])),
  })),
)
</script>

<template>
  <g>
    <g v-for="(one, i) in ways" :key="`w${i}`">
      <path :d="one.way" class="way" />
      <g v-for="mark in one.marks" :key="mark.text">
        <circle :cx="mark.x" :cy="mark.y" r="2.2" class="way-mark" />
        <text :x="mark.x - 6" :y="mark.y - 5" class="time figure">{{ mark.text }}</text>
      </g>
    </g>
    <g v-for="aside in asides" :key="aside.title" class="aside">
      <path :d="aside.path" />
      <circle :cx="aside.end[0]" :cy="aside.end[1]" r="3" />
      <text :x="aside.end[0] + 7" :y="aside.end[1] - 5">{{ aside.title }}</text>
    </g>
  </g>
</template>

<style scoped>
text {
  fill: var(--ink-2);
  font-size: 12px;
}

.time {
  font-size: 11px;
}

.way {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.2;
  stroke-dasharray: 1 4;
}

.way-mark {
  fill: var(--ink-2);
}

.aside path {
  fill: none;
  stroke: var(--doubt);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}

.aside circle,
.aside text {
  fill: var(--doubt);
}
</style>
