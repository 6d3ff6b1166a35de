<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '@/bench/useBench'

const bench = useBench()
const waiting = computed(() =>
  bench.waitingCount > 1
    ? `${bench.waitingCount} changes are waiting and will be made in order.`
    : 'Your last change is waiting.',
)
</script>

<template>
  <p v-if="bench.notStored" class="lost" role="alert">
    <strong>This browser can’t store your draft.</strong>
    Changes are lost if you reload or close this page. Save the leader, or export it under “File”,
    then free some space or allow this site to store data. (The browser’s reason:
    {{ bench.notStored }})
  </p>
  <p v-if="bench.lost" class="lost" role="status">
    <strong>Nine Knots isn’t answering.</strong>
    <template v-if="!bench.notStored"> Your draft is safe in this browser.</template>
    {{ waiting }} Trying again … If it doesn’t come back, run
    <code class="figure">./start</code> again.
  </p>
</template>

<style scoped>
.lost {
  position: sticky;
  top: 0;
  z-index: 12;
  padding: 9px 28px;
  background: var(--doubt-soft);
  border-bottom: 2px solid var(--doubt);
}
</style>
