<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Score } from '@/api/client'
import { STATUS_PATHS } from '@/drawing/status'

/**
 * One measure as a hanging cord: the wanted band is the thick part, the knot is where this leader
 * stands. Too little hangs open below, right sits closed and level, too much is filled and above.
 * One that is right folds to a line; its why opens.
 */
const props = defineProps<{ measure: Score; ghost: Score | null }>()

const TALL = 98
const CLOSE = 32
const TOP = 7
const open = ref(false)
const calm = computed(() => props.measure.status === 'right' && !props.measure.marginal)
const closer = computed(() => calm.value && !open.value)
const height = computed(() => (closer.value ? CLOSE : TALL))
const y = (position: number) => TOP + (height.value - 2 * TOP) * (1 - position)
const status = computed(() => props.measure.status)
const tone = computed(() => status.value.replace(' ', '-'))
const said = computed(() =>
  props.measure.marginal && status.value === 'right' ? 'right, only just' : status.value,
)
</script>

<template>
  <section class="cord" :class="[`cord--${tone}`, { 'cord--closer': closer }]">
    <svg :height="height" width="36" aria-hidden="true">
      <line x1="18" x2="18" y1="2" :y2="height - 2" class="strand" />
      <line x1="18" x2="18" :y1="y(measure.band.high)" :y2="y(measure.band.low)" class="band" />
      <path
        v-for="edge in [measure.band.low, measure.band.high]"
        :key="edge"
        :d="`M9 ${y(edge)}h18`"
        class="band-end"
      />
      <ellipse v-if="ghost" cx="18" :cy="y(ghost.position)" rx="10" ry="6" class="ghost" />
      <g :transform="`translate(18 ${y(measure.position)})`" class="knot">
        <path :d="STATUS_PATHS[status]" />
      </g>
    </svg>
    <div>
      <h3>
        {{ measure.title }}
        <span :class="closer ? 'unseen' : 'question'">{{ measure.question }}</span>
        <button
          v-if="calm"
          type="button"
          class="link cord__more"
          :aria-expanded="open"
          @click="open = !open"
        >
          {{ open ? 'less' : 'why' }}<span class="unseen"> {{ measure.title }}</span>
        </button>
      </h3>
      <p class="cord__figure">
        <strong>{{ measure.figure }}</strong>
        <span class="status">{{ said }}</span>
      </p>
      <p v-if="ghost" class="cord__ghost">ghost: {{ ghost.figure }}</p>
      <p v-if="!closer" class="cord__why">{{ measure.why }}</p>
    </div>
  </section>
</template>

<style scoped>
.cord {
  --tone: var(--right);
  display: grid;
  grid-template-columns: 36px minmax(0, 1fr);
  gap: 10px;
}

.cord--too-little {
  --tone: var(--little);
}

.cord--too-much {
  --tone: var(--much);
}

.strand {
  stroke: var(--hair-strong);
  stroke-width: 2;
}

.band {
  stroke: var(--right);
  stroke-opacity: 0.35;
  stroke-width: 9;
}

.band-end {
  stroke: var(--right);
  stroke-width: 2;
}

.knot path {
  fill: var(--surface);
  stroke: var(--tone);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.cord--too-little .knot path {
  fill: none;
}

.cord--too-much .knot path {
  fill: var(--tone);
}

.knot {
  transition: transform 160ms ease-out;
}

.ghost {
  fill: none;
  stroke: var(--ghost);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}

.question {
  display: block;
  color: var(--ink-2);
  font-size: var(--small);
  font-weight: 400;
}

.cord__figure {
  margin-top: 2px;
  font-size: 17px;
  line-height: 1.25;
}

.status {
  display: inline-block;
  margin-left: 8px;
  color: var(--tone);
  font-size: 14px;
  font-weight: 700;
}

.cord__ghost {
  color: var(--ghost);
  font-size: var(--small);
}

.cord__more {
  float: right;
  font-size: var(--small);
  font-weight: 400;
}

.cord--closer h3 {
  font-size: 14px;
}

.cord--closer .cord__figure {
  margin-top: 0;
  font-size: 15px;
}

.cord__why {
  margin-top: 3px;
  font-size: 14px;
  line-height: 1.35;
}
</style>
