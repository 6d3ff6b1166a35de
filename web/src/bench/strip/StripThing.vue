<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** Something on the line: a shot, an indicator, a sighter mark, the end of the grease. */
defineProps<{ reading: Schemas['ThingReading']; x: number; y: number; selected: boolean }>()
const emit = defineEmits<{ grab: [event: PointerEvent] }>()
</script>

<template>
  <g
    class="thing"
    :class="[`thing--${reading.kind}`, { 'thing--selected': selected }]"
    role="option"
    :aria-selected="selected"
    :aria-label="reading.title"
    :tabindex="selected ? 0 : -1"
    :transform="`translate(${x} ${y})`"
    @pointerdown="emit('grab', $event)"
  >
    <rect x="-12" y="-24" width="24" height="48" rx="4" class="grip" />
    <template v-if="reading.kind === 'shot'">
      <circle r="6.5" class="shot" />
      <path d="M-6.5 0h13" class="split" />
    </template>
    <template v-else-if="reading.kind === 'indicator'">
      <circle r="10" cy="-2" class="float" />
      <path d="M-10 -2a10 10 0 0 0 20 0z" class="float-under" />
    </template>
    <path v-else-if="reading.kind === 'mark'" d="M-3 -9v18M3 -9v18" class="mark" />
    <path v-else d="M0 -14v28M0 -14h-7M0 14h-7" class="grease" />
  </g>
</template>

<style scoped>
.thing {
  cursor: ew-resize;
  outline: none;
}

.grip {
  fill: transparent;
}

.shot {
  fill: var(--wire);
  stroke: var(--raised);
  stroke-width: 1.5;
}

.split {
  stroke: var(--raised);
  stroke-width: 1.5;
}

.float {
  fill: var(--indicator);
  stroke: var(--ink);
  stroke-width: 1;
}

.float-under {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1;
}

.mark {
  stroke: var(--mark);
  stroke-width: 3;
}

.grease {
  fill: none;
  stroke: var(--act);
  stroke-width: 2;
}

.thing--selected .grip {
  fill: var(--act-soft);
  fill-opacity: 0.6;
  stroke: var(--act);
  stroke-width: 1.5;
}

.thing:focus-visible .grip {
  stroke-width: 2.5;
}
</style>
