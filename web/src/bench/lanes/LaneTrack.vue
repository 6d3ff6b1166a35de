<script setup lang="ts">
import { computed } from 'vue'
import type { LaneSpan } from '@/api/client'
import { around, through, type Point } from '@/drawing/paths'
import type { Axis } from '../strip/useAxis'
import type { Lane } from './useLanes'

/** One lane: a profile over the leader, its name, and what the crosshair reads in it. */
const props = defineProps<{
  lane: Lane
  words: string
  axis: Axis
  height: number
  spans: LaneSpan[]
  ghost: LaneSpan[]
  atM: number
  jointsM: number[]
}>()

function profile(spans: LaneSpan[]): Point[] {
  const { axis, height, lane } = props
  return spans.flatMap((span): Point[] => [
    [axis.x(span.from_m), height - lane.upper(span)],
    [axis.x(span.to_m), height - lane.lower(span)],
  ])
}

const edge = computed(() => profile(props.spans))
const outline = computed(() => through(edge.value))
const filled = computed(() => {
  const [first, last] = [edge.value[0], edge.value.at(-1)]
  if (!first || !last) return ''
  return around([...edge.value, [last[0], props.height], [first[0], props.height]])
})
</script>

<template>
  <section class="lane" :aria-label="`${lane.title}: ${words}`">
    <p class="lane__head">
      <strong>{{ lane.title }}</strong>
      <span class="lane__words">{{ words }}</span>
      <span class="quiet">{{ lane.note }}</span>
    </p>
    <svg :width="axis.width" :height="height" aria-hidden="true">
      <line :x1="0" :x2="axis.width" :y1="height - 0.5" :y2="height - 0.5" class="floor" />
      <line
        v-for="joint in jointsM"
        :key="joint"
        :x1="axis.x(joint)"
        :x2="axis.x(joint)"
        y1="0"
        :y2="height"
        class="at-joint"
      />
      <path :d="filled" class="fill" />
      <path :d="outline" class="edge" />
      <path v-if="ghost.length" :d="through(profile(ghost))" class="ghost" />
      <slot />
      <line :x1="axis.x(atM)" :x2="axis.x(atM)" y1="0" :y2="height" class="cross" />
    </svg>
  </section>
</template>

<style scoped src="./lane.css"></style>
