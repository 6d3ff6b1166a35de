<script setup lang="ts">
import { computed } from 'vue'
import type { OutlinePart, Schemas } from '@/api/client'
import { sideOf, thickest } from '@/drawing/side'
import { fillOf } from '@/drawing/tints'

/** A leader as a small drawing to the scale of `longestM`, for lists. */
const props = defineProps<{
  outline: OutlinePart[]
  hung: Schemas['HungItem'][]
  longestM: number
}>()
const WIDTH = 560
const HEIGHT = 30
const axis = computed(() => {
  const perM = (WIDTH - 12) / props.longestM
  const x = (at_m: number) => 6 + at_m * perM
  return { x, m: () => 0, perM, width: WIDTH, left: 6, right: WIDTH - 6, spread: false }
})
const scale = computed(() => 15 / thickest(props.outline))
const flies = computed(() =>
  props.hung.filter((item) => item.kind === 'dropper' || item.kind === 'in line'),
)
const things = computed(() =>
  props.hung.filter((item) => item.kind === 'shot' || item.kind === 'indicator'),
)
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
      :d="sideOf(part, axis.x, 17, scale)"
      :class="fillOf(part.material)"
      class="mini__part"
    />
    <path
      v-for="(fly, i) in flies"
      :key="`f${i}`"
      :d="`M${axis.x(fly.at_m)} 17L${axis.x(fly.to_m) + 5} 5m-4 0h6m-3 -3v6`"
      class="mini__fly"
    />
    <circle
      v-for="(thing, i) in things"
      :key="`t${i}`"
      :cx="axis.x(thing.at_m)"
      cy="17"
      :r="thing.kind === 'indicator' ? 5.5 : 3.6"
      :class="`mini__thing mini__thing--${thing.kind}`"
    />
    <circle v-for="at in joints" :key="at" :cx="axis.x(at)" cy="17" r="3.4" class="mini__joint" />
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

.mini__fly {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.6;
}

.mini__thing {
  fill: var(--wire);
  stroke: var(--raised);
}

.mini__thing--indicator {
  fill: var(--indicator);
  stroke: var(--ink-2);
}

.mini__joint {
  fill: var(--raised);
  stroke: var(--ink-2);
}
</style>
