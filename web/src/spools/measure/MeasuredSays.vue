<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import type { Schemas } from '@/api/client'
import { useMeasurements } from './useMeasure'

/** What readings come to, the button that keeps it, and what was measured before. */
const props = defineProps<{
  ofId: string
  answer: Schemas['MeasuredAnswer'] | null
  refused: string
  trouble: string
  busy: boolean
}>()
const emit = defineEmits<{ keep: [] }>()
const { data: before } = useMeasurements(() => props.ofId)
</script>

<template>
  <div class="says">
    <div aria-live="polite">
      <template v-if="answer && !refused">
        <p class="figure says__figure">{{ answer.figure }}</p>
        <p v-for="words in answer.words" :key="words">{{ words }}</p>
      </template>
      <p v-else-if="refused" class="quiet">{{ refused }}</p>
      <p v-else class="quiet">There is no reading yet.</p>
    </div>
    <p v-if="trouble" class="refusal" role="alert">{{ trouble }}</p>
    <p>
      <button
        class="do do--main"
        type="button"
        :disabled="!answer || !!refused || busy"
        @click="emit('keep')"
      >
        Keep it
      </button>
    </p>
    <template v-if="before?.length">
      <h3>Measured before</h3>
      <ul>
        <li v-for="(item, i) in before" :key="i">
          <span class="quiet figure">{{ withDays(item.day) }}</span> {{ item.words }}
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.says {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  align-content: start;
  max-width: 62ch;
}

.says__figure {
  font-size: 26px;
  font-weight: 640;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 5px 0;
  border-top: 1px solid var(--hair);
  font-size: 14px;
}
</style>
