<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { job } from '@/api/job'
import { useCast } from './useCast'
import { useSettled } from './useSettled'

/** How hard this leader must be thrown just to open, against a plain one. */
const cast = useCast()
const { found: effort, share } = useSettled<Schemas['Effort']>(
  'effort',
  (body, waiting) => job('/api/casts/effort', body, waiting),
  (reading) => reading.movie !== null,
)
</script>

<template>
  <p v-if="cast.reading?.movie" class="effort" role="status">
    <strong>Effort: </strong>
    <template v-if="effort">
      <span :class="{ 'effort--hard': effort.standing !== 'right' }">{{ effort.figure }}.</span>
      <span class="quiet">{{ ` ${effort.why}` }}</span>
    </template>
    <span v-else class="quiet">{{ share !== null ? 'throwing it slower and slower …' : '…' }}</span>
  </p>
</template>

<style scoped>
.effort {
  font-size: var(--small);
}

.effort--hard {
  color: var(--much);
}
</style>
