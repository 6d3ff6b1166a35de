<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** One figure of the own cast on its axis: what is usual as a hollow bar, what is known as a full one. */
defineProps<{ figure: Schemas['OwnFigure'] }>()
const WIDTH = 260
const x = (share: number) => 8 + share * (WIDTH - 16)
const span = (low: number, high: number) => Math.max(4, x(high) - x(low))
</script>

<template>
  <p class="figure-row">
    <span class="figure-row__title">{{ figure.title }}</span>
    <svg :width="WIDTH" height="22" aria-hidden="true">
      <line :x1="0" :x2="WIDTH" y1="11" y2="11" class="axis" />
      <rect
        :x="x(figure.usual.low)"
        :width="span(figure.usual.low, figure.usual.high)"
        y="4"
        height="14"
        class="usual"
      />
      <rect
        :x="x(figure.now.low)"
        :width="span(figure.now.low, figure.now.high)"
        y="7.5"
        height="7"
        class="now"
      />
      <circle :cx="x(figure.now.middle)" cy="11" r="5" class="knot" />
    </svg>
    <span class="figure">{{ figure.text }}</span>
  </p>
</template>

<style scoped>
.figure-row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  font-size: var(--small);
}

.figure-row__title {
  width: 190px;
}

.axis {
  stroke: var(--hair-strong);
}

.usual {
  fill: none;
  stroke: var(--ghost);
  stroke-dasharray: 3 2;
}

.now {
  fill: var(--act);
  opacity: 0.45;
}

.knot {
  fill: var(--act);
  stroke: var(--surface);
  stroke-width: 1.5;
}
</style>
