<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import type { Axis } from '../strip/useAxis'
import { through } from '@/drawing/paths'
import { byProportion } from '@/drawing/scales'

type Point = Schemas['EnergyPoint']

/**
 * The energy of all beyond a place as the loop passes it, over what it was launched with. A
 * picture for comparing leaders: it has no threshold.
 */
const props = defineProps<{
  energy: readonly Point[]
  ghost: readonly Point[]
  axis: Axis
  height: number
  atM: number
}>()
const most = computed(() => Math.max(1, ...[...props.energy, ...props.ghost].map((p) => p.share)))
const scale = computed(() => byProportion(most.value, props.height - 5))

function path(points: readonly Point[]): string {
  return through(points.map((p) => [props.axis.x(p.at_m), props.height - scale.value(p.share)]))
}
const here = computed(() => {
  const near = props.energy.find((p) => p.at_m >= props.atM) ?? props.energy.at(-1)
  return near?.text ?? ''
})
</script>

<template>
  <section class="lane" :aria-label="`Energy: ${here}`">
    <p class="lane__head">
      <strong>Energy</strong>
      <span class="lane__words">{{ here }}</span>
      <span class="quiet">of all beyond, as the loop passes</span>
    </p>
    <svg :width="axis.width" :height="height" aria-hidden="true">
      <line x1="0" :x2="axis.width" :y1="height - 0.5" :y2="height - 0.5" class="floor" />
      <path :d="path(energy)" class="edge" />
      <path v-if="ghost.length" :d="path(ghost)" class="ghost" />
      <line :x1="axis.x(atM)" :x2="axis.x(atM)" y1="0" :y2="height" class="cross" />
    </svg>
  </section>
</template>

<style scoped src="./lane.css"></style>
