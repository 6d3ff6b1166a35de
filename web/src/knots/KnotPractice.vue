<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Schemas } from '@/api/client'
import TieHistory from './TieHistory.vue'
import { usePractice, type Rated } from './usePractice'

/** A knot tied against the clock and rated by the angler; weak ones come back sooner. */
const props = defineProps<{ knot: Schemas['KnotCard']['key']; title: string }>()
const emit = defineEmits<{ next: [knot: Schemas['KnotCard']['key']] }>()
const { rows, seconds, running, start, stop, rate } = usePractice()
const RATINGS: { rated: Rated; words: string }[] = [
  { rated: 'slipped', words: 'It slipped' },
  { rated: 'ugly', words: 'Holds, but ugly' },
  { rated: 'good', words: 'Good' },
  { rated: 'clean', words: 'Clean and quick' },
]
const mine = computed(() => rows.value?.find((row) => row.knot === props.knot))
const next = computed(() => rows.value?.find((row) => row.knot !== props.knot && row.is_due))
const timed = computed(() => !running.value && seconds.value > 0)
watch(() => props.knot, stop)
</script>

<template>
  <section class="practice" aria-labelledby="practice-title">
    <h2 id="practice-title">Practise</h2>
    <div class="row">
      <button v-if="!running" class="do practice__go" type="button" @click="start">
        Start the clock
      </button>
      <button v-else class="do do--main practice__go" type="button" @click="stop">Tied!</button>
      <output class="figure practice__clock" aria-label="Seconds">
        {{ seconds.toFixed(1) }} s
      </output>
      <p v-if="mine" class="quiet grow">
        {{ mine.due }}<template v-if="mine.best">, best {{ mine.best }}</template>
      </p>
    </div>
    <div v-if="timed" class="row" role="group" aria-label="How is it?">
      <button
        v-for="rating in RATINGS"
        :key="rating.rated"
        class="do practice__go"
        type="button"
        @click="rate(knot, rating.rated)"
      >
        {{ rating.words }}
      </button>
    </div>
    <TieHistory v-if="mine?.ties.length" :ties="mine.ties" :title="title" />
    <p v-else class="quiet">
      Once you know it, tie it with your eyes shut: start the clock, tie, and rate it.
    </p>
    <p v-if="next">
      Also due:
      <button class="do" type="button" @click="emit('next', next.knot)">{{ next.title }}</button>
    </p>
  </section>
</template>

<style scoped>
.practice {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 8px;
}

.practice .row {
  flex-wrap: wrap;
  row-gap: 6px;
}

.practice__go {
  min-height: 48px;
}

.practice__clock {
  min-width: 84px;
  font-size: 22px;
}
</style>
