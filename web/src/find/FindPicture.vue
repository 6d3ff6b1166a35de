<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** All leaders that are beaten by none, by two of their figures; the dozen are numbered. */
const props = defineProps<{ picture: Schemas['FoundPicture']; chosen: number; pinned: number[] }>()
const emit = defineEmits<{ choose: [card: number] }>()
const WIDTH = 560
const HEIGHT = 210
const LEFT = 62
const FOOT = 46
const x = (value: number) => {
  const { low, high } = props.picture.across
  return LEFT + ((value - low) / (high - low)) * (WIDTH - LEFT - 8)
}
const y = (value: number) => {
  const { low, high } = props.picture.up
  return HEIGHT - FOOT - ((value - low) / (high - low)) * (HEIGHT - FOOT - 10)
}
const others = computed(() => props.picture.points.filter((point) => point.card === null))
/** Those of the dozen that fall on one place stand beside each other. */
const numbered = computed(() => {
  const taken: { x: number; y: number }[] = []
  return props.picture.points
    .flatMap(({ card, ...at }) => (card === null ? [] : [{ card, x: x(at.x), y: y(at.y) }]))
    .sort((a, b) => a.card - b.card)
    .map((item) => {
      const place = { ...item }
      while (taken.some((at) => Math.hypot(at.x - place.x, at.y - place.y) < 19)) place.x += 20
      taken.push(place)
      return place
    })
})
</script>

<template>
  <figure class="picture">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`${picture.up.title}, against ${picture.across.title.toLowerCase()}: leaders that no other beats`"
    >
      <g class="grid">
        <template v-for="mark in picture.up.marks" :key="mark.at">
          <path :d="`M${LEFT} ${y(mark.at)}H${WIDTH - 8}`" />
          <text :x="LEFT - 7" :y="y(mark.at) + 4" class="figure end">{{ mark.text }}</text>
        </template>
        <template v-for="mark in picture.across.marks" :key="mark.at">
          <path :d="`M${x(mark.at)} 10V${HEIGHT - FOOT}`" />
          <text :x="x(mark.at)" :y="HEIGHT - FOOT + 17" class="figure middle">{{ mark.text }}</text>
        </template>
      </g>
      <text :x="(WIDTH + LEFT) / 2" :y="HEIGHT - 8" class="title middle">
        {{ picture.across.title }}
      </text>
      <circle
        v-for="(point, i) in others"
        :key="i"
        :cx="x(point.x)"
        :cy="y(point.y)"
        r="3"
        class="other"
      />
      <g
        v-for="item in numbered"
        :key="item.card"
        class="found"
        :class="{
          'found--chosen': item.card === chosen,
          'found--pinned': pinned.includes(item.card),
        }"
        :transform="`translate(${item.x} ${item.y})`"
        @pointerenter="emit('choose', item.card)"
      >
        <circle r="10" />
        <text y="4.5" class="middle figure">{{ item.card + 1 }}</text>
      </g>
    </svg>
    <figcaption class="quiet">
      {{ picture.up.title }} increases upwards. Numbers are the leaders listed; dots are others that
      nothing beats in every respect.
    </figcaption>
  </figure>
</template>

<style scoped>
.picture {
  margin: 0;
}

svg {
  display: block;
  width: 100%;
  height: auto;
  border: 1px solid var(--hair);
  background: var(--surface);
}

.grid path {
  stroke: var(--hair);
}

text {
  fill: var(--ink-2);
  font-size: 12px;
}

.middle {
  text-anchor: middle;
}

.end {
  text-anchor: end;
}

.title {
  fill: var(--ink);
  font-size: 13px;
}

.other {
  fill: var(--hair-strong);
  fill-opacity: 0.55;
}

.found {
  cursor: pointer;
}

.found circle {
  fill: var(--raised);
  stroke: var(--act);
  stroke-width: 1.6;
}

.found text {
  fill: var(--ink);
  font-weight: 640;
}

.found--pinned circle {
  stroke: var(--ghost);
  stroke-width: 3;
}

.found--chosen circle {
  fill: var(--act);
}

.found--chosen text {
  fill: var(--on-act);
}
</style>
