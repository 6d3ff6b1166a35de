<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation } from '@/api/client'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'
import FlagMark from '../strip/FlagMark.vue'
import { useCast } from '../air/useCast'
import EnergyLane from './EnergyLane.vue'
import HoldMarks from './HoldMarks.vue'
import LaneTrack from './LaneTrack.vue'
import { useCrosshair } from './useCrosshair'
import { PLOT_PX, useLanes } from './useLanes'

const props = defineProps<{ axis: Axis; ghost: Evaluation | null }>()
const ENERGY_PX = 34

const bench = useBench()
const cast = useCast()
const reading = computed(() => bench.evaluation as Evaluation)
const { pointer, at_m, words } = useCrosshair(() => props.axis)
const { lanes, holdY } = useLanes(
  () => reading.value,
  () => props.ghost,
)
const flagged = computed(() => reading.value.joints.filter((joint) => joint.trouble))

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
      :lane="lane"
      :words="words[lane.key]"
      :axis="axis"
      :height="PLOT_PX"
      :spans="lane.withLine ? [...reading.line_spans, ...reading.spans] : reading.spans"
      :ghost="ghost?.spans ?? []"
      :at-m="at_m"
      :joints-m="reading.joints.map((joint) => joint.at_m)"
    >
      <template v-if="lane.key === 'bend'">
        <g
          v-for="joint in flagged"
          :key="joint.index"
          :transform="`translate(${axis.x(joint.at_m)} 16)`"
          class="flag"
        >
          <FlagMark :flag="joint.flag" />
          <text x="10" y="-1">{{ joint.flag }}</text>
        </g>
      </template>
      <HoldMarks v-if="lane.key === 'hold'" :reading="reading" :axis="axis" :y="holdY" />
    </LaneTrack>
    <EnergyLane
      :energy="cast.reading?.energy ?? []"
      :ghost="cast.ghost?.energy ?? []"
      :axis="axis"
      :height="ENERGY_PX"
      :at-m="at_m"
    />
  </div>
</template>

<style scoped>
.lanes {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}

.flag text {
  fill: var(--ink);
  font-size: 13px;
  font-weight: 640;
}
</style>
