<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { through } from '@/drawing/paths'
import TickMarks from '@/drawing/TickMarks.vue'

/** What is believed of a knot before and after its pulls, with the pulls themselves below. */
const props = defineProps<{
  belief: Schemas['BeliefLine']
  tests: Schemas['PullLine'][]
}>()
const WIDTH = 420
const HEIGHT = 130
const FLOOR = 92
const x = (share: number) =>
  10 + ((WIDTH - 20) * (share - props.belief.low)) / (props.belief.high - props.belief.low)
const highest = computed(() =>
  Math.max(...[...props.belief.prior, ...props.belief.posterior].map((point) => point.height)),
)
const curve = (points: Schemas['CurvePoint'][]) =>
  through(
    points.map(({ share, height }) => [x(share), FLOOR - (FLOOR - 8) * (height / highest.value)]),
  )
const ticks = computed(() =>
  [0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.1]
    .filter((share) => share > props.belief.low && share < props.belief.high)
    .map((share) => ({ at: x(share), text: `${Math.round(share * 100)}%` })),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="belief"
    role="img"
    :aria-label="`Strength kept. ${belief.words}`"
  >
    <line x1="10" :x2="WIDTH - 10" :y1="FLOOR" :y2="FLOOR" class="axis" />
    <TickMarks :ticks="ticks" :drop="34" :y="FLOOR" />
    <path :d="curve(belief.prior)" class="prior" />
    <path :d="curve(belief.posterior)" class="posterior" />
    <g
      v-for="test in tests"
      :key="test.test_id"
      :transform="`translate(${x(test.share)} ${FLOOR + 10})`"
    >
      <title>{{ test.broke }}, {{ test.kept }}</title>
      <path v-if="test.set_aside" d="M-4 -4l8 8m0 -8l-8 8" class="aside" />
      <circle v-else r="4.5" :class="test.odd ? 'test test--odd' : 'test'" />
    </g>
  </svg>
</template>

<style scoped>
.belief {
  width: 100%;
  max-width: 520px;
}

.axis {
  stroke: var(--hair-strong);
}

text {
  fill: var(--ink-2);
  font-size: 12px;
  text-anchor: middle;
}

.prior {
  fill: none;
  stroke: var(--ghost);
  stroke-width: 1.8;
  stroke-dasharray: 5 4;
}

.posterior {
  fill: none;
  stroke: var(--act);
  stroke-width: 2.6;
}

.test {
  fill: var(--act);
}

.test--odd {
  fill: none;
  stroke: var(--doubt);
  stroke-width: 2.4;
}

.aside {
  stroke: var(--ink-2);
  stroke-width: 2;
}
</style>
