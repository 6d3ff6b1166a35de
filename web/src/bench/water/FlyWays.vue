<script setup lang="ts">
import { computed } from 'vue'
import type { WaterReading } from '@/api/client'
import type { ToPixels } from '@/drawing/paths'
import { timeMarks, wayOf } from './section'

/** The way of every fly, with dots at seconds on the point fly's, and its way in other cases. */
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
      aside.path.map((place) => [place]),
      0,
      aside.path.length - 1,
      props.px,
    ),
    end: props.px(...(aside.path.at(-1) ?? [0, 0])),
  })),
)
</script>

<template>
  <g>
    <g v-for="(way, i) in ways" :key="`w${i}`">
      <path :d="way.way" class="way" />
      <circle
        v-for="mark in way.marks"
        :key="mark.text"
        :cx="mark.x"
        :cy="mark.y"
        r="2.2"
        class="way-mark"
      />
    </g>
    <g v-for="aside in asides" :key="aside.title" class="aside">
      <path :d="aside.path" />
      <circle :cx="aside.end[0]" :cy="aside.end[1]" r="3" />
    </g>
  </g>
</template>

<style scoped>
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

.aside circle {
  fill: var(--doubt);
}
</style>
