<script setup lang="ts">
import { computed } from 'vue'
import type { HoldReading } from '@/api/client'
import { strokeOf } from '@/drawing/tints'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'

/** Where each piece and joint breaks, as bands over the leader; the pull as a line that rises. */
const props = defineProps<{
  reading: HoldReading
  axis: Axis
  loadN: number
  loadText: string
  brokenAtM: number | null
}>()
const emit = defineEmits<{ drag: [load_n: number] }>()
const bench = useBench()
const selection = useSelection()

const PLOT = 150
const FOOT = 34
const TOP = 26
const y = (load_n: number) =>
  TOP + (PLOT - TOP) * (1 - Math.min(1, Math.max(0, load_n / props.reading.top_n)))
const beyond = (load_n: number) => load_n > props.reading.top_n
const pieces = computed(() => bench.evaluation?.pieces ?? [])
const bands = computed(() => props.reading.bands.filter((band) => !beyond(band.low_n)))
const GAP = 13
/** Where the plot ends, a little past the leader's. */
const edge = computed(() => props.axis.right + 20)

function drag(event: PointerEvent) {
  const svg = event.currentTarget as SVGElement
  if (event.type === 'pointerdown') svg.setPointerCapture(event.pointerId)
  if (event.type === 'pointermove' && !(event.buttons & 1)) return
  const up = event.clientY - svg.getBoundingClientRect().top
  emit('drag', Math.max(0, (props.reading.top_n * (PLOT - up)) / (PLOT - TOP)))
}

/** Below the break the leader stays in the fish: it is drawn apart. */
function shift(at_m: number): number {
  return props.brokenAtM !== null && at_m >= props.brokenAtM - 1e-9 ? GAP : 0
}
function halves(start_m: number, end_m: number): { from: number; to: number }[] {
  const cut = props.brokenAtM
  if (cut === null || cut <= start_m || cut >= end_m) return [{ from: start_m, to: end_m }]
  return [
    { from: start_m, to: cut },
    { from: cut, to: end_m },
  ]
}
</script>

<template>
  <svg
    :width="axis.width"
    :height="PLOT + FOOT"
    class="pull"
    @pointerdown="drag"
    @pointermove="drag"
  >
    <line :x1="axis.x(0)" :x2="edge" :y1="PLOT" :y2="PLOT" class="zero" />
    <g class="need">
      <line :x1="axis.x(0) - 6" :x2="edge" :y1="y(reading.need.si)" :y2="y(reading.need.si)" />
      <text :x="edge" :y="y(reading.need.si) - 5">a strike may ask {{ reading.need.text }}</text>
    </g>
    <g v-for="(band, i) in bands" :key="i" @pointerdown="selection.select(band.what, band.index)">
      <title>{{ band.text }}</title>
      <rect
        :x="band.what === 'joint' ? axis.x(band.from_m) - 6 : axis.x(band.from_m) + 8"
        :width="
          band.what === 'joint' ? 12 : Math.max(4, axis.x(band.to_m) - axis.x(band.from_m) - 16)
        "
        :y="y(band.high_n)"
        :height="Math.max(2, y(band.low_n) - y(band.high_n))"
        :class="['band', `band--${band.what}`, { 'band--reached': loadN >= band.low_n }]"
      />
      <line
        :x1="band.what === 'joint' ? axis.x(band.from_m) - 6 : axis.x(band.from_m) + 8"
        :x2="band.what === 'joint' ? axis.x(band.from_m) + 6 : axis.x(band.to_m) - 8"
        :y1="y(band.mean_n)"
        :y2="y(band.mean_n)"
        class="mean"
      />
    </g>
    <text v-if="bands.length < reading.bands.length" :x="edge" y="14" class="note">
      stronger ones are off the top
    </text>
    <g class="load">
      <line :x1="axis.x(0) - 6" :x2="edge" :y1="y(loadN)" :y2="y(loadN)" />
      <circle :cx="axis.x(0) - 6" :cy="y(loadN)" r="6" />
      <text :x="axis.x(0) + 6" :y="y(loadN) - 6">{{ loadText }}</text>
    </g>
    <g v-for="piece in pieces" :key="piece.index">
      <line
        v-for="half in halves(piece.start_m, piece.end_m)"
        :key="half.from"
        :x1="axis.x(half.from) + shift(half.from)"
        :x2="axis.x(half.to) + shift(half.from)"
        :y1="PLOT + 16"
        :y2="PLOT + 16"
        :class="['rope', strokeOf(piece.material), { gone: shift(half.from) }]"
      />
    </g>
    <g
      v-if="brokenAtM !== null"
      :transform="`translate(${axis.x(brokenAtM) + GAP / 2} ${PLOT + 16})`"
    >
      <path d="M-6 -9l4 6l-5 3l5 3l-4 6M6 -9l-4 6l5 3l-5 3l4 6" class="snap" />
    </g>
  </svg>
</template>

<style scoped>
.pull {
  display: block;
  cursor: ns-resize;
  touch-action: none;
}

.zero {
  stroke: var(--hair-strong);
}

.band {
  fill: var(--act);
  fill-opacity: 0.22;
}

.band--joint {
  fill-opacity: 0.5;
}

.band--reached {
  fill: var(--much);
}

.mean {
  stroke: var(--ink);
  stroke-width: 1.6;
}

.need line {
  stroke: var(--little);
  stroke-width: 1.6;
  stroke-dasharray: 2 3;
}

text {
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
  pointer-events: none;
}

.need text {
  fill: var(--little);
  font-size: 12.5px;
  text-anchor: end;
}

.load line {
  stroke: var(--ink);
  stroke-width: 2;
}

.load circle {
  fill: var(--ink);
}

.load text {
  fill: var(--ink);
  font-family: var(--figures);
  font-size: 13px;
}

.note {
  fill: var(--ink-2);
  font-size: 11.5px;
  text-anchor: end;
}

.rope {
  stroke-width: 6;
}

.gone {
  opacity: 0.45;
}

.snap {
  fill: none;
  stroke: var(--much);
  stroke-width: 2;
}
</style>
