<script setup lang="ts">
import type { Score } from '@/api/client'
import { STATUS_PATHS } from '@/drawing/status'

/** The cords of a leader as small marks in a row: shape, tone and height say how each stands. */
defineProps<{ measures: Score[] }>()
const HEIGHT = 30
const y = (position: number) => 8 + (HEIGHT - 16) * (1 - position)
const tone = (one: Score) => one.status.replace(' ', '-')
const said = (one: Score) =>
  `${one.title}: ${one.figure}, ${one.marginal ? 'only just ' : ''}${one.status}`
</script>

<template>
  <ul class="marks" aria-label="Status">
    <li
      v-for="one in measures"
      :key="one.key"
      :class="`mark mark--${tone(one)}`"
      :title="said(one)"
    >
      <svg :height="HEIGHT" width="22" aria-hidden="true">
        <line x1="11" x2="11" y1="2" :y2="HEIGHT - 2" class="mark__cord" />
        <g :transform="`translate(11 ${y(one.position)}) scale(0.6)`">
          <path :d="STATUS_PATHS[one.status]" />
        </g>
      </svg>
      <span class="unseen">{{ said(one) }}</span>
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
