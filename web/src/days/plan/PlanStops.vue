<script setup lang="ts">
import type { Option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import type { PlanForm } from './usePlans'

/** The stretches of a plan in the order in which they are come to, each with its hours and fly. */
defineProps<{
  stops: PlanForm['stops']
  flies: Option<number>[]
  stretches: Option<string>[]
  water: string
}>()
const emit = defineEmits<{ next: []; leave: [at: number] }>()
const MOST_STOPS = 8
</script>

<template>
  <fieldset>
    <legend>Stretches, in the order you fish them</legend>
    <p v-for="(stop, at) in stops" :key="at" class="row stop">
      <PickOne v-model="stop.stretch_id" :label="`Stretch ${at + 1}`" :options="stretches" />
      <input
        v-model="stop.begins"
        class="pick figure hour"
        :aria-label="`Stretch ${at + 1} from`"
      />
      to
      <input v-model="stop.ends" class="pick figure hour" :aria-label="`Stretch ${at + 1} till`" />
      <PickOne
        :model-value="stop.fly ?? -1"
        :label="`Fly for stretch ${at + 1}`"
        :options="flies"
        @update:model-value="(fly) => (stop.fly = fly === -1 ? null : (fly ?? null))"
      />
      <button
        class="link"
        type="button"
        :aria-label="`Leave out stretch ${at + 1}`"
        @click="emit('leave', at)"
      >
        leave out
      </button>
    </p>
    <button
      class="link"
      type="button"
      :disabled="!stretches.length || stops.length >= MOST_STOPS"
      @click="emit('next')"
    >
      {{ stops.length ? 'the next stretch' : 'the first stretch' }}
    </button>
    <p v-if="water && !stretches.length" class="poor">
      {{ water }} has no stretches yet: <RouterLink to="/days">add one</RouterLink>.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  padding: 0;
  font-weight: 640;
}

.stop {
  margin-bottom: 4px;
}

.stop :deep(select) {
  width: auto;
  min-width: 150px;
  max-width: 300px;
}

.hour {
  width: 74px;
}

@media (max-width: 820px) {
  .stop :deep(select) {
    width: 100%;
    max-width: none;
  }
}
</style>
