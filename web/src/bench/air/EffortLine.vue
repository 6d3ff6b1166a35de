<script setup lang="ts">
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import { overhead, useCast } from './useCast'

/** How hard this leader must be thrown just to open, against a plain one. */
const cast = useCast()
const settings = useSettings()
const who = `effort-${crypto.randomUUID().slice(0, 8)}`
const { answer: effort, share } = useAnswer(
  () =>
    cast.settled && cast.reading?.movie
      ? { design: cast.settled, stroke: overhead(cast.stroke), units: settings.units }
      : null,
  (asked, waiting) => job('/api/casts/effort', { bench: who, ...asked }, waiting),
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
