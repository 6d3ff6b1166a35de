<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '@/bench/useBench'

const bench = useBench()
const waiting = computed(() =>
  bench.waitingCount > 1
    ? `${bench.waitingCount} changes wait and follow in order.`
    : 'The last change waits.',
)
</script>

<template>
  <p v-if="bench.lost" class="lost" role="status">
    <strong>Nine Knots does not answer just now.</strong>
    Your draft is safe in this browser. {{ waiting }} Trying again … (if it does not come back, run
    <code class="figure">./start</code> again)
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
