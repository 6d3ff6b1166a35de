<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation, LaneSpan } from '@/api/client'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'
import { useSelection } from '../useSelection'
import LaneTrack from './LaneTrack.vue'
import { byDoubling, byProportion } from './scales'
import { useCrosshair } from './useCrosshair'

const props = defineProps<{ axis: Axis; ghost: Evaluation | null }>()
const PLOT = 46

const bench = useBench()
const selection = useSelection()
const reading = computed(() => bench.evaluation as Evaluation)
const { pointer, at_m, words } = useCrosshair(() => props.axis)

const spans = computed(() => reading.value.spans)
const all = computed(() => [
  ...spans.value,
  ...reading.value.line_spans,
  ...(props.ghost?.spans ?? []),
])
const bends = computed(() => all.value.flatMap((s) => [s.upper_bend_nm2, s.lower_bend_nm2]))
const holds = computed(() => [
  ...[...spans.value, ...(props.ghost?.spans ?? [])].map((s) => s.holds_n),
  ...reading.value.joints.map((joint) => joint.holds.si),
  reading.value.need.si,
])

const lanes = computed(() => {
  const thick = byProportion(Math.max(...all.value.map((s) => s.upper_diameter_m)), PLOT)
  const bend = byDoubling(Math.min(...bends.value), Math.max(...bends.value), PLOT)
  const hold = byDoubling(Math.min(...holds.value) * 0.8, Math.max(...holds.value), PLOT)
  const ends = (up: (span: LaneSpan) => number, low: (span: LaneSpan) => number) => ({ up, low })
  return [
    {
      key: 'thickness' as const,
      title: 'Thickness',
      note: '',
      withLine: true,
      ...ends(
        (s) => thick(s.upper_diameter_m),
        (s) => thick(s.lower_diameter_m),
      ),
    },
    {
      key: 'bend' as const,
      title: 'Bend',
      note: 'stiffness, by doubling',
      withLine: true,
      ...ends(
        (s) => bend(s.upper_bend_nm2),
        (s) => bend(s.lower_bend_nm2),
      ),
    },
    {
      key: 'hold' as const,
      title: 'Hold',
      note: 'breaking load, by doubling',
      withLine: false,
      ...ends(
        (s) => hold(s.holds_n),
        (s) => hold(s.holds_n),
      ),
    },
  ]
})

const holdScale = computed(() =>
  byDoubling(Math.min(...holds.value) * 0.8, Math.max(...holds.value), PLOT),
)
const first = computed(() => reading.value.joints.reduce((a, b) => (b.chance > a.chance ? b : a)))
const flagged = computed(() =>
  reading.value.joints.filter((joint) => !['fits', 'fly', 'trace'].includes(joint.flag)),
)

function follow(event: PointerEvent) {
  const box = (event.currentTarget as Element).getBoundingClientRect()
  pointer.value = event.clientX - box.left
}
</script>

<template>
  <div class="lanes" @pointermove="follow" @pointerleave="pointer = null">
    <LaneTrack
      v-for="lane in lanes"
      :key="lane.key"
      :title="lane.title"
      :note="lane.note"
      :words="words[lane.key]"
      :axis="axis"
      :height="PLOT"
      :spans="lane.withLine ? [...reading.line_spans, ...spans] : spans"
      :ghost="ghost?.spans ?? []"
      :upper="lane.up"
      :lower="lane.low"
      :at-m="at_m"
      :joints-m="reading.joints.map((joint) => joint.at_m)"
    >
      <template v-if="lane.key === 'bend'">
        <g v-for="joint in flagged" :key="joint.index" class="flag">
          <path :d="`M${axis.x(joint.at_m)} 14l5 -9h-10z`" />
          <text :x="axis.x(joint.at_m) + 8" y="14">{{ joint.flag }}</text>
        </g>
      </template>
      <template v-if="lane.key === 'hold'">
        <line
          :x1="axis.x(0)"
          :x2="axis.x(reading.length.si)"
          :y1="PLOT - holdScale(reading.need.si)"
          :y2="PLOT - holdScale(reading.need.si)"
          class="need"
        />
        <text
          :x="axis.x(reading.length.si) + 6"
          :y="PLOT - holdScale(reading.need.si) + 1"
          class="need-word"
        >
          may ask
        </text>
        <text
          :x="axis.x(reading.length.si) + 6"
          :y="PLOT - holdScale(reading.need.si) + 14"
          class="need-word figure"
        >
          {{ reading.need.text }}
        </text>
        <circle
          v-for="joint in reading.joints"
          :key="joint.index"
          :cx="axis.x(joint.at_m)"
          :cy="PLOT - holdScale(joint.holds.si)"
          :r="joint.index === first.index ? 6 : 4"
          :class="joint.index === first.index ? 'dot dot--first' : 'dot'"
          @click="selection.select('joint', joint.index)"
        />
      </template>
    </LaneTrack>
  </div>
</template>

<style scoped>
.lanes {
  display: grid;
  gap: 4px;
}

.flag path {
  fill: var(--much);
}

.flag text {
  fill: var(--much);
  font-size: 13px;
  font-weight: 640;
}

.need {
  stroke: var(--little);
  stroke-width: 1.6;
  stroke-dasharray: 2 3;
}

.need-word {
  fill: var(--little);
  font-size: 12px;
}

.dot {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.6;
  cursor: pointer;
}

.dot--first {
  fill: var(--much);
  stroke: var(--surface);
}
</style>
