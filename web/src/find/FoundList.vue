<script setup lang="ts">
import { computed } from 'vue'
import { longestOf } from '@/drawing/side'
import LeaderOption from '@/widgets/LeaderOption.vue'
import type { FoundCard } from './useFind'

/** The leaders found, to go through with the arrow keys. */
const props = defineProps<{ cards: FoundCard[]; pinned: number[] }>()
const chosen = defineModel<number>({ required: true })
const emit = defineEmits<{ pin: []; bench: [] }>()
const longest = computed(() => longestOf(props.cards))
</script>

<template>
  <fieldset class="found" @keydown.p.prevent="emit('pin')" @keydown.enter.prevent="emit('bench')">
    <legend class="unseen">Leaders found</legend>
    <LeaderOption
      v-for="(card, number) in cards"
      :key="number"
      v-model="chosen"
      name="found"
      :value="number"
      :title="card.title"
      :measures="card.measures"
      :outline="card.outline"
      :hung="card.hung"
      :longest-m="longest"
      :facts="card.facts"
    >
      <template #before>
        <span class="figure number">{{ number + 1 }}</span>
      </template>
      <template v-if="pinned.includes(number)" #after>
        <span class="pinned">pinned</span>
      </template>
    </LeaderOption>
  </fieldset>
</template>

<style scoped>
.found {
  margin: 0;
  padding: 0;
  border: 0;
}

.number {
  min-width: 20px;
  color: var(--ink-2);
}

.pinned {
  color: var(--ghost);
  font-size: var(--small);
}
</style>
