<script setup lang="ts">
import { useId } from 'vue'

/** A labelled field of a form: text, or a day, empty where it is not known. */
defineProps<{ label: string; hint?: string; day?: boolean }>()
const text = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <el-input :id="id" v-model="text" :type="day ? 'date' : 'text'" :placeholder="hint" />
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
