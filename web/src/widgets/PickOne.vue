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
const at = computed(() => all.value.findIndex((one) => one.value === chosen.value))
const first = computed(() => (props.options ?? []).length)
const before = (group: number) =>
  first.value + (props.groups ?? []).slice(0, group).reduce((sum, g) => sum + g.options.length, 0)

function pick(event: Event) {
  const made = all.value[Number((event.target as HTMLSelectElement).value)]
  if (made) chosen.value = made.value
}
</script>

<template>
  <select :id="id" class="pick" :aria-label="label" :value="at" @change="pick">
    <option v-if="at < 0" :value="-1" disabled>{{ otherwise ?? chosen }}</option>
    <option v-for="(one, i) in options" :key="i" :value="i">{{ one.words }}</option>
    <optgroup v-for="(group, g) in groups" :key="group.title" :label="group.title">
      <option v-for="(one, i) in group.options" :key="i" :value="before(g) + i">
        {{ one.words }}
      </option>
    </optgroup>
  </select>
</template>
