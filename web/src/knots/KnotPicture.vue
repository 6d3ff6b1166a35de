<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'

type Key = Schemas['KnotCard']['key']

/**
 * A knot at `step` of its work: whole numbers are the ends of steps, the last one draws it up;
 * below 0 it is the whole loose knot.
 * Light is the tag, dark the standing part.
 */
const props = defineProps<{ knot: Key; step: number; mirrored?: boolean }>()
const { data: drawing } = useQuery({
  queryKey: computed(() => ['drawing', props.knot]),
  queryFn: () =>
    answered(api.GET('/api/v1/knots/{key}/drawing', { params: { path: { key: props.knot } } })),
  staleTime: Infinity,
})
const worked = computed(() => (drawing.value?.captions.length ?? 1) - 1)
const strokes = computed(() => {
  const found = drawing.value
  if (!found) return []
  if (props.step < 0) return found.work
  const drawn = props.step - (worked.value - 1)
  if (drawn > 0) {
    const last = found.drawn_up.length
    return found.drawn_up[Math.min(last, Math.max(1, Math.round(drawn * last))) - 1] ?? []
  }
  return found.work.filter((stroke) => stroke.since <= props.step + 1e-6)
})
const viewBox = computed(() => drawing.value?.box.join(' ') ?? '0 0 1 1')
/** A mirror through the middle of the drawing. */
const turn = computed(() => {
  const [left = 0, , width = 0] = drawing.value?.box ?? []
  return props.mirrored ? `translate(${2 * left + width} 0) scale(-1 1)` : undefined
})
</script>

<template>
  <svg
    v-if="drawing"
    :viewBox="viewBox"
    class="knot"
    role="img"
    :aria-label="drawing.captions[Math.min(worked, Math.max(0, Math.ceil(step)))]"
  >
    <g :transform="turn">
      <template v-for="(stroke, i) in strokes" :key="i">
        <path v-if="stroke.over" :d="stroke.path" :stroke-width="stroke.width + 1.8" class="gap" />
        <path
          :d="stroke.path"
          :stroke-width="stroke.width"
          :class="['strand', `strand--${stroke.part}`, { 'strand--tag': stroke.tag }]"
        />
      </template>
    </g>
  </svg>
</template>

<style scoped>
.knot {
  display: block;
  width: 100%;
  max-height: 46vh;
}

.gap {
  fill: none;
  stroke: var(--knot-ground, var(--surface));
}

.strand {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.strand--upper {
  stroke: var(--knot-upper);
}

.strand--upper.strand--tag {
  stroke: var(--knot-upper-tag);
}

.strand--lower {
  stroke: var(--knot-lower);
}

.strand--lower.strand--tag {
  stroke: var(--knot-lower-tag);
}

.strand--line {
  stroke: var(--knot-line);
}

.strand--eye {
  stroke: var(--ink-2);
}
</style>
