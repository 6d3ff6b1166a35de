<script setup lang="ts">
import { computed } from 'vue'
import type { WaterForm } from '@/api/client'
import TypedField from '@/widgets/TypedField.vue'
import { useWater } from './useWater'

/** How it is fished: only the figures that this way of fishing goes by. */
const water = useWater()
const LABELS: Record<string, string> = {
  wanted: 'Depth wanted',
  lead: 'Led, of the pace',
  tip: 'Rod tip up',
  out: 'Beyond the tip',
  count: 'Count down',
  pull: 'Pull',
  pull_speed: 'Pull speed',
  pause: 'Pause',
  line: 'Line out',
  differs: 'Currents differ',
}
const fields = computed(() =>
  Object.entries(water.reading?.said ?? {}).map(([key, text]) => ({
    key: key as keyof WaterForm,
    label: LABELS[key] ?? key,
    text,
  })),
)
</script>

<template>
  <div class="how" :class="{ 'how--many': fields.length > 1 }">
    <TypedField
      v-for="field in fields"
      :key="field.key"
      :label="field.label"
      :model-value="field.text"
      :hint="field.key === 'wanted' ? 'by the bed' : ''"
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
  width: 112px;
}
</style>
