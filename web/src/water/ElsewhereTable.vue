<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/api/client'

/** The water other than planned: two sliders and the gauge, read off what was worked out before. */
const props = defineProps<{ stop: Schemas['PackedStop']; level: number | null }>()
const deeper = ref(props.stop.planned[0] ?? 0)
const faster = ref(props.stop.planned[1] ?? 0)
const at = ref(props.stop.levels.findIndex((level) => level.planned))
const cell = computed(() => props.stop.cells[deeper.value]?.[faster.value])
const SHAPES = { right: '●', 'too little': '▽', 'too much': '▲' } as const

/** By the gauge: the nearest step of either slider. */
function byLevel(number: number) {
  const row = props.stop.levels[number]
  if (!row) return
  at.value = number
  deeper.value = row.deeper
  faster.value = row.faster
}
watch(
  () => props.level,
  (level) => {
    const found = props.stop.levels.findIndex((item) => item.level_m === level)
    if (level !== null && found >= 0) byLevel(found)
  },
  { immediate: true },
)
</script>

<template>
  <section class="elsewhere" aria-label="If conditions differ">
    <h2>If conditions differ</h2>
    <label v-if="stop.levels.length">
      <span class="quiet">The gauge reads</span>
      <select
        class="field"
        :value="at"
        @change="(event) => byLevel(Number((event.target as HTMLSelectElement).value))"
      >
        <option v-for="(step, number) in stop.levels" :key="step.level" :value="number">
          {{ step.level }}{{ step.planned ? ', as planned' : '' }}
        </option>
      </select>
    </label>
    <label v-if="stop.deeper.length > 1">
      <span class="quiet"
        >Deep: <b>{{ stop.deeper[deeper]?.words }}</b></span
      >
      <input
        v-model.number="deeper"
        class="slide"
        type="range"
        min="0"
        :max="stop.deeper.length - 1"
        :aria-valuetext="stop.deeper[deeper]?.words"
      />
    </label>
    <label v-if="stop.faster.length > 1">
      <span class="quiet"
        >Fast: <b>{{ stop.faster[faster]?.words }}</b></span
      >
      <input
        v-model.number="faster"
        class="slide"
        type="range"
        min="0"
        :max="stop.faster.length - 1"
        :aria-valuetext="stop.faster[faster]?.words"
      />
    </label>
    <p v-if="cell" class="answer" :class="{ wrong: cell.status !== 'right' }" role="status">
      <b>{{ SHAPES[cell.status] }} {{ cell.figure }}: {{ cell.status }}.</b>
      {{ cell.change ? `Change: ${cell.change.replace(/\.$/, '')}.` : 'Leave it as it is.' }}
    </p>
  </section>
</template>

<style scoped>
.elsewhere {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.slide {
  width: 100%;
  height: 56px;
  accent-color: var(--act);
}

.answer {
  padding: 12px;
  border: 3px solid var(--right);
  border-radius: 10px;
  font-size: 20px;
}

.wrong {
  border-color: var(--wrong);
}
</style>
