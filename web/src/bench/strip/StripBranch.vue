<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import FlyMark from './FlyMark.vue'
import { strokeOf } from '@/drawing/tints'
import type { Axis } from './useAxis'

/** A fly above the point: on a dropper that stands off the joint, or in line at it. */
const props = defineProps<{
  reading: Schemas['BranchReading']
  axis: Axis
  y: number
  selected: boolean
}>()
const emit = defineEmits<{ grab: [] }>()
const RISE_PX = 70
const from = computed(() => props.axis.x(props.reading.at_m))
const dropper = computed(() => props.reading.form === 'dropper')
/** The tag's length to scale along the axis, as all lengths of the strip. */
const to = computed(() => from.value + Math.max(14, props.reading.length.si * props.axis.perM))
const end = computed(() =>
  dropper.value ? ([to.value, props.y - RISE_PX] as const) : ([from.value, props.y - 26] as const),
)
const stroke = computed(() => strokeOf(props.reading.material))
</script>

<template>
  <g
    class="branch"
    :class="{ 'branch--selected': selected }"
    role="option"
    :aria-selected="selected"
    :aria-label="reading.title"
    :tabindex="selected ? 0 : -1"
    @pointerdown="emit('grab')"
  >
    <path
      v-if="dropper"
      :d="`M${from} ${y}C${from + 10} ${y - RISE_PX} ${from + 12} ${end[1]} ${end[0]} ${end[1]}`"
      class="tag"
      :class="stroke"
    />
    <rect :x="end[0] - 6" :y="end[1] - 15" width="36" height="34" rx="4" class="grip" />
    <FlyMark :x="end[0]" :y="end[1]" />
  </g>
</template>

<style scoped>
.branch {
  cursor: pointer;
  outline: none;
}

.tag {
  fill: none;
  stroke-width: 2.5;
}

.grip {
  fill: transparent;
}

.branch--selected .grip {
  fill: var(--act-soft);
  stroke: var(--act);
  stroke-width: 1.5;
}

.branch:focus-visible .grip {
  stroke-width: 2.5;
}
</style>
