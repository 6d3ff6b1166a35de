<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import type { Design } from '@/api/client'
import CordMarks from '@/widgets/CordMarks.vue'
import MiniStrip from '@/widgets/MiniStrip.vue'
import type { StopReading } from './usePlans'

/** One stretch of a plan: when, its water then, the leader, what the hands do first. */
defineProps<{ stop: StopReading; longestM: number; before: string }>()
const emit = defineEmits<{ bench: [design: Design] }>()
</script>

<template>
  <li class="stop">
    <div>
      <p class="figure hours">{{ stop.hours }}</p>
      <h3>{{ stop.stretch }}</h3>
      <p class="quiet">{{ stop.water }}</p>
      <p v-if="stop.beyond" class="poor">{{ stop.beyond }}</p>
      <p v-if="before" class="quiet">{{ withDays(before) }}</p>
      <p v-if="stop.rules" class="quiet">Its own rules: {{ stop.rules }}</p>
    </div>
    <div>
      <p v-if="stop.change" class="change">{{ stop.change }}</p>
      <p v-if="stop.words" :class="{ poor: !stop.design }">{{ stop.words }}</p>
      <template v-if="stop.design">
        <p class="row">
          <b>{{ stop.title }}</b>
          <CordMarks :measures="stop.measures" />
          <span class="grow" />
          <button
            class="link"
            type="button"
            :aria-label="`To the bench as at ${stop.stretch}`"
            @click="emit('bench', stop.design)"
          >
            to the bench
          </button>
        </p>
        <MiniStrip :outline="stop.outline" :hung="stop.hung" :longest-m="longestM" />
        <p class="quiet">{{ stop.facts }} {{ stop.fly }}, to {{ stop.wish }}. {{ stop.outfit }}.</p>
      </template>
      <p v-for="line in stop.cautions" :key="line" class="caution">{{ line }}</p>
    </div>
  </li>
</template>

<style scoped>
.stop {
  display: grid;
  grid-template-columns: minmax(200px, 2fr) minmax(0, 5fr);
  gap: 22px;
  padding: 12px 0;
  border-top: 1px solid var(--hair);
}

.hours {
  color: var(--ink-2);
}

.change {
  font-weight: 620;
}

.caution {
  margin-top: 4px;
  padding-left: 10px;
  border-left: 4px solid var(--doubt);
  font-size: 14px;
}

@media (max-width: 820px) {
  .stop {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
