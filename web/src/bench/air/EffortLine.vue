<script setup lang="ts">
import { answered, api, type Schemas } from '@/api/client'
import { useCast } from './useCast'
import { useSettled } from './useSettled'

/** How hard this leader must be thrown just to open, against a plain one. */
const cast = useCast()
const { found: effort, looking } = useSettled<Schemas['Effort'] | null>(
  'effort',
  null,
  (body) => answered(api.POST('/api/casts/effort', { body })),
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
    <span v-else class="quiet">{{ looking ? 'throwing it slower and slower …' : '…' }}</span>
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
