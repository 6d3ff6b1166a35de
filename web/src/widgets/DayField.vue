<script setup lang="ts">
import { useId } from 'vue'

/** A labelled day of a form, empty where it is not known. */
defineProps<{ label: string }>()
const day = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div>
    <label :for="id">{{ label }}</label>
    <input :id="id" v-model="day" type="date" class="pick" min="1950-01-01" />
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 3px;
  color: var(--ink-2);
  font-size: var(--small);
}
</style>
