<script setup lang="ts">
import { DAY_KINDS, useNewLeader } from './newLeader'

/** A new leader for a kind of fishing, as buttons. */
const begin = useNewLeader()
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
