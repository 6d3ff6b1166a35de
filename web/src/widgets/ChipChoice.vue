<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

export interface Chip<V extends string> {
  value: V
  words: string
  note?: string
}

/** A few words to choose one of, as radio buttons that look like chips. */
defineProps<{ legend: string; chips: readonly Chip<T>[]; modelValue: T | '' }>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const name = useId()
</script>

<template>
  <fieldset class="chips">
    <legend>{{ legend }}</legend>
    <label v-for="chip in chips" :key="chip.value" class="chip">
      <input
        class="behind"
        type="radio"
        :name="name"
        :value="chip.value"
        :checked="chip.value === modelValue"
        @change="emit('update:modelValue', chip.value)"
      />
      <span>
        <span>{{ chip.words }}</span><small
          v-if="chip.note"
          :class="{ figure: /\d/.test(chip.note) }"
          >{{ chip.note }}</small
        >
      </span>
    </label>
  </fieldset>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  padding: 0;
  color: var(--ink-2);
  font-size: var(--small);
}

.chip > span {
  display: inline-block;
  padding: 4px 10px;
  border: 1px solid var(--hair-strong);
  border-radius: 14px;
  background: var(--surface);
  cursor: pointer;
}

.chip small {
  margin-left: 6px;
  color: var(--ink-2);
  font-size: 12px;
}

.chip input:checked + span {
  border-color: var(--act);
  background: var(--act);
  color: var(--on-act);
}

.chip input:checked + span small {
  color: inherit;
}

.chip input:focus-visible + span {
  outline: 3px solid var(--act);
  outline-offset: 2px;
}

@media (max-width: 820px) {
  .chip > span {
    padding: 12px 16px;
    border-radius: 24px;
  }
}
</style>
