<script setup lang="ts">
import { attempt } from '@/shell/attempt'
import { DAY_KINDS, useNewLeader, type DayKind } from './useNewLeader'

/** A new leader for a kind of fishing, as buttons. */
const { forKind } = useNewLeader()
const begin = (kind: DayKind) => attempt(() => forKind(kind))
</script>

<template>
  <div class="row kinds" role="group" aria-label="New leader for">
    <span class="quiet">New leader for</span>
    <button
      v-for="(words, kind) in DAY_KINDS"
      :key="kind"
      class="do"
      type="button"
      @click="begin(kind)"
    >
      {{ words }}
    </button>
  </div>
</template>

<style scoped>
.kinds {
  flex-wrap: wrap;
  gap: 6px;
}
</style>
