<script setup lang="ts">
import { computed } from 'vue'

/** A labelled whole number with steps. */
defineProps<{ label: string; min: number; max: number }>()
const count = defineModel<number>({ required: true })
const shown = computed({
  get: () => count.value,
  set: (value: number | undefined) => {
    if (value !== undefined) count.value = value
  },
})
</script>

<template>
  <div class="count">
    <span class="quiet" aria-hidden="true">{{ label }}</span>
    <el-input-number v-model="shown" :min="min" :max="max" :precision="0" :aria-label="label" />
  </div>
</template>

<style scoped>
.count {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
  align-content: start;
  justify-items: start;
}
</style>
