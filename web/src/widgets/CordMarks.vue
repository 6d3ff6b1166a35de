<script setup lang="ts">
import type { Score } from '@/api/client'
import { STATUS_PATHS } from '@/drawing/status'

/** The cords of a leader as small marks in a row: shape, tone and height say how each stands. */
defineProps<{ measures: Score[] }>()
const HEIGHT = 30
const y = (position: number) => 8 + (HEIGHT - 16) * (1 - position)
const tone = (score: Score) => score.status.replace(' ', '-')
const said = (score: Score) =>
  `${score.title}: ${score.figure}, ${score.marginal ? 'only just ' : ''}${score.status}`
</script>

<template>
  <ul class="marks" aria-label="Status">
    <li
      v-for="measure in measures"
      :key="measure.key"
      :class="`mark mark--${tone(measure)}`"
      :title="said(measure)"
    >
      <svg :height="HEIGHT" width="22" aria-hidden="true">
        <line x1="11" x2="11" y1="2" :y2="HEIGHT - 2" class="mark__cord" />
        <g :transform="`translate(11 ${y(measure.position)}) scale(0.6)`">
          <path :d="STATUS_PATHS[measure.status]" />
        </g>
      </svg>
      <span class="unseen">{{ said(measure) }}</span>
    </li>
  </ul>
</template>

<style scoped>
.marks {
  display: flex;
  gap: 1px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.mark {
  --tone: var(--right);
}

.mark--too-little {
  --tone: var(--little);
}

.mark--too-much {
  --tone: var(--much);
}

svg {
  display: block;
}

.mark__cord {
  stroke: var(--hair-strong);
  stroke-width: 1.5;
}

path {
  fill: var(--ground);
  stroke: var(--tone);
  stroke-width: 3.4;
}

.mark--too-much path {
  fill: var(--tone);
}
</style>
