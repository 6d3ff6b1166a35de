<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation } from '@/api/client'
import type { Axis } from '../strip/useAxis'
import { useSelection } from '../useSelection'

/** In the hold lane: what each joint holds, what the day may ask, what goes first. */
const props = defineProps<{ reading: Evaluation; axis: Axis; y: (load_n: number) => number }>()
const selection = useSelection()
const need = computed(() => props.y(props.reading.need.si))
/** Whether the words have room left of the leader. */
const ROOM_PX = 90
const roomy = computed(() => props.axis.left >= ROOM_PX)
const first = computed(() => props.reading.first_to_go)
const firstPiece = computed(() =>
  first.value.what === 'piece' ? props.reading.pieces[first.value.index] : undefined,
)
const goesFirst = (index: number) => first.value.what === 'joint' && first.value.index === index
</script>

<template>
  <g>
    <line :x1="axis.x(0)" :x2="axis.x(reading.length.si)" :y1="need" :y2="need" class="need" />
    <text
      :x="axis.x(0) + (roomy ? -10 : 4)"
      :y="need + (roomy ? 4 : -4)"
      :text-anchor="roomy ? 'end' : 'start'"
      class="need-word"
    >
      may ask {{ reading.need.text }}
    </text>
    <line
      v-if="firstPiece"
      :x1="axis.x(firstPiece.start_m)"
      :x2="axis.x(firstPiece.end_m)"
      :y1="y(firstPiece.breaks.si)"
      :y2="y(firstPiece.breaks.si)"
      class="piece-first"
    />
    <circle
      v-for="joint in reading.joints"
      :key="joint.index"
      :cx="axis.x(joint.at_m)"
      :cy="y(joint.holds.si)"
      :r="goesFirst(joint.index) ? 6 : 4"
      :class="goesFirst(joint.index) ? 'dot dot--first' : 'dot'"
      @click="selection.select('joint', joint.index)"
    />
  </g>
</template>

<style scoped>
.need {
  stroke: var(--little);
  stroke-width: 1.6;
  stroke-dasharray: 2 3;
}

.need-word {
  fill: var(--little);
  font-size: 12.5px;
}

.piece-first {
  stroke: var(--much);
  stroke-width: 5;
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
