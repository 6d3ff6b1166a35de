<script setup lang="ts">
import { computed } from 'vue'
import type { OutlinePart, PieceReading } from '@/api/client'
import { sideOf } from '@/drawing/side'
import { fillOf } from '@/drawing/tints'
import type { Axis } from './useAxis'

const props = defineProps<{
  piece: PieceReading
  parts: OutlinePart[]
  axis: Axis
  y: number
  scale: number
  selected: boolean
}>()

const emit = defineEmits<{ grab: [event: PointerEvent] }>()

const LEAST_FOR_WORDS_PX = 38
const from = computed(() => props.axis.x(props.piece.start_m))
const to = computed(() => props.axis.x(props.piece.end_m))
/** Where its words stand: in the middle of what is in view. */
const seen = computed(() => [
  Math.max(from.value, props.axis.left - 20),
  Math.min(to.value, props.axis.right + 20),
])
const wide = computed(() => seen.value[1]! - seen.value[0]!)
const middle = computed(() => (seen.value[0]! + seen.value[1]!) / 2)
/** Short neighbours put their words on two heights so that they do not run into each other. */
const lift = computed(() => (wide.value < 110 && props.piece.index % 2 ? 15 : 0))
const NARROW_PX = 600
const worded = computed(
  () => props.selected || (props.axis.width > NARROW_PX && wide.value >= LEAST_FOR_WORDS_PX),
)
const label = computed(() => {
  const { index, role, length, diameter, stock, breaks } = props.piece
  return `Piece ${index + 1}, ${role}, ${length.text} ${diameter}, ${stock}, breaks at ${breaks.text}`
})
</script>

<template>
  <g
    class="piece"
    :class="{ 'piece--selected': selected }"
    role="option"
    :aria-selected="selected"
    :aria-label="label"
    :tabindex="selected ? 0 : -1"
    @pointerdown="emit('grab', $event)"
  >
    <rect :x="from" :y="y - 26" :width="Math.max(1, to - from)" height="52" class="grip" />
    <path
      v-for="(part, i) in parts"
      :key="i"
      :d="sideOf(part, axis.x, y, scale)"
      :class="fillOf(part.material, part.sighter)"
      class="body"
    />
    <line v-if="selected" :x1="from + 9" :x2="to - 9" :y1="y + 25" :y2="y + 25" class="mark" />
    <template v-if="worded">
      <text :x="middle" :y="y - 30 - lift" class="length figure">{{ piece.length.text }}</text>
      <text :x="middle" :y="y + 42 + lift" class="size figure">
        {{ piece.diameter.split(' · ')[0] }}
      </text>
    </template>
  </g>
</template>

<style scoped>
.piece {
  cursor: pointer;
  outline: none;
}

.grip {
  fill: transparent;
}

.body {
  stroke: var(--piece-edge);
  stroke-opacity: 0.55;
  stroke-width: 1;
}

.piece:hover .body {
  stroke-opacity: 1;
}

.mark {
  stroke: var(--act);
  stroke-width: 3;
  stroke-linecap: round;
}

.piece:focus-visible .grip {
  stroke: var(--act);
  stroke-width: 2.5;
  rx: 4px;
}

text {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
  font-size: 13px;
  text-anchor: middle;
  pointer-events: none;
}

.size {
  fill: var(--ink-2);
}

.piece--selected .length {
  font-weight: 700;
}
</style>
