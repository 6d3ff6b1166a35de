<script setup lang="ts">
import { useId } from 'vue'

/** A labelled text field of a form. */
defineProps<{ label: string; hint?: string }>()
const text = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <el-input :id="id" v-model="text" :placeholder="hint" />
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
