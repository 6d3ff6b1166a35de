<script setup lang="ts">
import TypedField from '@/widgets/TypedField.vue'
import { useWater } from './useWater'

/** How it is fished: only the figures that this way of fishing goes by. */
const water = useWater()
</script>

<template>
  <div class="how" :class="{ 'how--many': (water.reading?.fields.length ?? 0) > 1 }">
    <TypedField
      v-for="field in water.reading?.fields ?? []"
      :key="field.key"
      :label="field.label"
      :model-value="field.text"
      :hint="field.hint"
      :take="(text) => water.say(field.key, text)"
    />
  </div>
</template>

<style scoped>
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
}

.how--many {
  flex-basis: 100%;
}

.how > * {
  width: 128px;
}
</style>
