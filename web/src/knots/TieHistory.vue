<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** Attempts at a knot, oldest at the left: how long each took, and how it came out. */
const props = defineProps<{ ties: Schemas['TyingAttempt'][]; title: string }>()
const HEIGHT = 84
const GAP = 22
const slowest = computed(() => Math.max(...props.ties.map((tie) => tie.seconds), 1))
const y = (seconds: number) => 14 + (HEIGHT - 30) * (1 - seconds / slowest.value)
const x = (i: number) => 46 + i * GAP
const width = computed(() => Math.max(270, x(props.ties.length) + 6))
const words = computed(() =>
  props.ties
    .map((tie) => `${withDays(tie.day)}: ${tie.seconds.toFixed(0)} s, ${tie.rated}`)
    .join('; '),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${HEIGHT}`"
    :width="width"
    :height="HEIGHT"
    role="img"
    :aria-label="`Attempts at the ${title}. ${words}`"
  >
    <text x="0" :y="y(slowest) + 4">{{ slowest.toFixed(0) }} s</text>
    <text x="0" :y="y(0) + 4">0 s</text>
    <line x1="40" :x2="width" :y1="y(0)" :y2="y(0)" class="axis" />
    <g v-for="(tie, i) in ties" :key="i" :transform="`translate(${x(i)} ${y(tie.seconds)})`">
      <title>{{ withDays(tie.day) }}: {{ tie.seconds.toFixed(1) }} s, {{ tie.rated }}</title>
      <path v-if="tie.rated === 'slipped'" d="M-4 -4l8 8m0 -8l-8 8" class="slipped" />
      <circle v-else r="5" :class="`tie tie--${tie.rated}`" />
    </g>
    <text x="40" :y="HEIGHT - 1">× slipped · ○ ugly · ● good or clean</text>
  </svg>
</template>

<style scoped>
svg {
  max-width: 100%;
}

text {
  fill: var(--ink-2);
  font-size: 12px;
}

.axis {
  stroke: var(--hair-strong);
}

.slipped {
  stroke: var(--much);
  stroke-width: 2.4;
}

.tie {
  fill: var(--right);
  stroke: var(--right);
  stroke-width: 2;
}

.tie--ugly {
  fill: none;
}
</style>
