<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import TypedField from '@/widgets/TypedField.vue'
import { useDay } from './useDay'

/** Rules of this water as the angler wrote them down; the local authority has the say. */
type Rules = Schemas['WaterRules']
const { bench, day, changeWithin } = useDay()
const flags = [
  ['barbless', 'Barbless hooks only'],
  ['lead_banned', 'No lead shot'],
  ['wire_required', 'Wire required'],
] as const
const COUNTS = [
  option(0, 'any number of flies'),
  option(1, 'one fly'),
  ...[2, 3, 4].map((count) => option(count, `${count} flies`)),
]

const set = (part: Partial<Rules>) => changeWithin('water', 'rules', part)
const ticked = (event: Event) => (event.target as HTMLInputElement).checked
</script>

<template>
  <details class="rules">
    <summary>Rules of this water</summary>
    <div class="rules__body">
      <label>
        At most
        <PickOne
          :options="COUNTS"
          :model-value="day.water.rules.most_flies ?? 0"
          @update:model-value="(count) => set({ most_flies: count || null })"
        />
      </label>
      <label v-for="[key, words] in flags" :key="key">
        <input
          type="checkbox"
          :checked="day.water.rules[key]"
          @change="set({ [key]: ticked($event) })"
        />
        {{ words }}
      </label>
      <TypedField
        label="Least distance between flies"
        hint="no rule"
        :model-value="bench.said?.['flies apart']?.figure ?? ''"
        :take="(text) => bench.say({ part: 'flies apart', text })"
      />
      <p class="quiet">Rules differ by place and change: ask the local authority.</p>
    </div>
  </details>
</template>

<style scoped>
summary {
  color: var(--act);
  cursor: pointer;
}

.rules__body {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin-top: 8px;
}

label {
  display: flex;
  align-items: center;
  gap: 8px;
}

.pick {
  width: auto;
}
</style>
