<script setup lang="ts">
import { computed } from 'vue'
import type { OutlinePart } from '@/api/client'
import { sidePath, thickest, tintOf } from '@/bench/strip/shapes'

/** A leader as a small drawing to the scale of `longestM`, for lists. */
const props = defineProps<{ outline: OutlinePart[]; longestM: number }>()
const WIDTH = 560
const HEIGHT = 26
const axis = computed(() => {
  const perM = (WIDTH - 12) / props.longestM
  return { x: (at_m: number) => 6 + at_m * perM, m: () => 0, perM, width: WIDTH }
})
const scale = computed(() => 15 / thickest(props.outline))
const joints = computed(() =>
  props.outline.flatMap((part, i) =>
    i === 0 || part.piece !== props.outline[i - 1]?.piece ? [part.from_m] : [],
  ),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="mini" aria-hidden="true">
    <path
      v-for="(part, i) in outline"
      :key="i"
      :d="sidePath(part, axis, 13, scale)"
      :class="tintOf(part.material)"
      class="mini__part"
    />
    <circle v-for="at in joints" :key="at" :cx="axis.x(at)" cy="13" r="3.4" class="mini__joint" />
  </svg>
</template>

<style scoped>
.mini {
  display: block;
  width: 100%;
  height: auto;
}

.mini__part {
  stroke: var(--piece-edge);
  stroke-opacity: 0.5;
  stroke-width: 0.8;
}

.mini__joint {
  fill: var(--raised);
  stroke: var(--ink-2);
}
</style>
