<script setup lang="ts">
import { computed } from 'vue'
import type { Connection, JointReading } from '@/api/client'
import FlagMark from './FlagMark.vue'
import JointGlyph from './JointGlyph.vue'

const props = defineProps<{
  reading: JointReading
  joint: Connection
  x: number
  y: number
  selected: boolean
  dragging: boolean
}>()

const emit = defineEmits<{ grab: [event: PointerEvent] }>()

const flagged = computed(() => props.reading.trouble)
const label = computed(() => {
  const { index, title, flag, holds } = props.reading
  const said = flagged.value ? `, ${flag}` : ''
  return `Joint ${index}, ${title}${said}, holds ${holds.text}`
})
</script>

<template>
  <g
    class="joint"
    :class="{
      'joint--selected': selected,
      'joint--drag': dragging,
      'joint--fixed': !reading.index,
    }"
    role="option"
    :aria-selected="selected"
    :aria-label="label"
    :tabindex="selected ? 0 : -1"
    :transform="`translate(${x} ${y})`"
    @pointerdown="emit('grab', $event)"
  >
    <rect x="-12" y="-24" width="24" height="48" rx="4" class="grip" />
    <circle r="12.5" class="seat" />
    <JointGlyph :joint="joint" />
    <text y="27" class="number figure">{{ reading.index }}</text>
    <g v-if="flagged" transform="translate(0 -15)"><FlagMark :flag="reading.flag" /></g>
  </g>
</template>

<style scoped>
.joint {
  cursor: ew-resize;
  outline: none;
}

.joint--fixed {
  cursor: pointer;
}

.grip {
  fill: transparent;
}

.seat {
  fill: var(--raised);
  stroke: var(--hair-strong);
  stroke-width: 1;
}

.joint:hover .seat {
  stroke: var(--act);
}

.joint--selected .seat,
.joint--drag .seat {
  stroke: var(--act);
  stroke-width: 2.5;
}

.joint:focus-visible .grip {
  stroke: var(--act);
  stroke-width: 2.5;
}

.number {
  fill: var(--ink-2);
  font-size: 11.5px;
  text-anchor: middle;
  pointer-events: none;
}
</style>
