<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'

type Piece = Schemas['MattersReading']['pieces'][number]

/** Under each piece a whisker for its length and one for its thickness, as far as they move it. */
const props = defineProps<{ axis: Axis; pieces: Piece[]; changes: string }>()
const bench = useBench()
const HEIGHT = 74
const MIDDLE = 37
const PX_AT = 26 // for the greatest that is drawn in full
const LEAST_FULL = 0.1 // of the logarithm: smaller ones are not blown up

const rows = [
  { key: 'opens', title: 'Opening' },
  { key: 'holds', title: 'Hold' },
] as const
const most = (key: 'opens' | 'holds') =>
  Math.max(
    LEAST_FULL,
    ...props.pieces.flatMap((piece) => [
      Math.abs(piece[`longer_${key}`]),
      Math.abs(piece[`thicker_${key}`]),
    ]),
  )
const places = computed(() =>
  props.pieces.map((piece) => {
    const reading = bench.evaluation?.outline.filter((part) => part.piece === piece.piece) ?? []
    const from = reading[0]?.from_m ?? 0
    const to = reading.at(-1)?.to_m ?? 0
    return { ...piece, x: props.axis.x((from + to) / 2) }
  }),
)
const y = (value: number, key: 'opens' | 'holds') => MIDDLE - (value / most(key)) * PX_AT
</script>

<template>
  <div>
    <section v-for="row in rows" :key="row.key" :aria-label="row.title">
      <p class="lane__head">
        <strong>{{ row.title }}</strong>
        <span class="quiet">of each piece {{ changes }}</span>
      </p>
      <svg :width="axis.width" :height="HEIGHT" aria-hidden="true">
        <line :x1="axis.x(0)" :x2="axis.width - 10" :y1="MIDDLE" :y2="MIDDLE" class="zero" />
        <g v-for="place in places" :key="place.piece">
          <path
            :d="`M${place.x - 7} ${MIDDLE}V${y(place[`longer_${row.key}`], row.key)}m-5 0h10`"
            class="longer"
          />
          <rect
            :x="place.x + 3"
            :y="Math.min(MIDDLE, y(place[`thicker_${row.key}`], row.key))"
            width="8"
            :height="Math.max(1, Math.abs(MIDDLE - y(place[`thicker_${row.key}`], row.key)))"
            class="thicker"
          />
        </g>
      </svg>
    </section>
    <ul class="unseen">
      <li v-for="piece in pieces" :key="piece.piece">
        Piece {{ piece.piece + 1 }}: {{ piece.longer }}; {{ piece.thicker }}.
      </li>
    </ul>
  </div>
</template>

<style scoped>
.lane__head {
  display: flex;
  gap: 12px;
}

svg {
  display: block;
}

.zero {
  stroke: var(--hair-strong);
}

.longer {
  fill: none;
  stroke: var(--act);
  stroke-width: 2.5;
}

.thicker {
  fill: var(--act);
  fill-opacity: 0.55;
}
</style>
