<script setup lang="ts" generic="T extends string | number | boolean">
import { computed } from 'vue'
import type { Option, OptionGroup } from './option'

/** One of several, out of a plain list or one in groups; a value that is none of them is told. */
const props = defineProps<{
  options?: Option<T>[]
  groups?: OptionGroup<T>[]
  /** What to call it where no visible label does. */
  label?: string
  id?: string
  /** Words for a value that is not among the options. */
  otherwise?: string
}>()
const chosen = defineModel<T>({ required: true })
const all = computed(() => [
  ...(props.options ?? []),
  ...(props.groups ?? []).flatMap((group) => group.options),
])
const known = computed(() => all.value.some((item) => item.value === chosen.value))

function pick(event: Event) {
  const { value } = event.target as HTMLSelectElement
  const made = all.value.find((item) => String(item.value) === value)
  if (made) chosen.value = made.value
}
</script>

<template>
  <select :id="id" class="pick" :aria-label="label" :value="String(chosen)" @change="pick">
    <option v-if="!known" :value="String(chosen)" disabled>{{ otherwise ?? chosen }}</option>
    <option v-for="option in options" :key="String(option.value)" :value="String(option.value)">
      {{ option.words }}
    </option>
    <optgroup v-for="group in groups" :key="group.title" :label="group.title">
      <option
        v-for="option in group.options"
        :key="String(option.value)"
        :value="String(option.value)"
      >
        {{ option.words }}
      </option>
    </optgroup>
  </select>
</template>
