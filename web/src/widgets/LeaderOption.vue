<script setup lang="ts" generic="T extends string | number">
import type { Score, OutlinePart, Schemas } from '@/api/client'
import CordMarks from './CordMarks.vue'
import MiniStrip from './MiniStrip.vue'

/** A leader to be chosen among others: its name, its cords as marks, drawn to a common scale. */
defineProps<{
  name: string
  value: T
  title: string
  measures: Score[]
  outline: OutlinePart[]
  hung: Schemas['HungItem'][]
  longestM: number
  facts: string
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <label>
    <input v-model="chosen" class="behind" type="radio" :name="name" :value="value" />
    <span class="option">
      <span class="row option__head">
        <slot name="before" />
        <strong>{{ title }}</strong>
        <slot name="after" />
        <span class="grow" />
        <CordMarks v-if="measures.length" :measures="measures" />
      </span>
      <MiniStrip v-if="outline.length" :outline="outline" :hung="hung" :longest-m="longestM" />
      <small v-if="facts" class="figure">{{ facts }}</small>
      <small v-if="$slots.default"><slot /></small>
    </span>
  </label>
</template>

<style scoped>
label {
  display: block;
  cursor: pointer;
}

.option {
  display: block;
  padding: 6px 12px;
  border-left: 3px solid var(--hair);
}

.option__head {
  flex-wrap: nowrap;
}

small {
  display: block;
  color: var(--ink-2);
  font-size: var(--small);
}

input:checked + .option {
  border-left-color: var(--act);
  background: var(--act-soft);
}

input:focus-visible + .option {
  outline: 3px solid var(--act);
  outline-offset: -3px;
}
</style>
