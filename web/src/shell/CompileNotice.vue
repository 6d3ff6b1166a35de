<script setup lang="ts">
import { useTimeoutPoll } from '@vueuse/core'
import { ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'

/** On a first start: how far the compiling of the simulations is. */
const EVERY_MS = 1000
const state = ref<Schemas['Readiness'] | null>(null)
const { pause } = useTimeoutPoll(
  async () => {
    state.value = await answered(api.GET('/api/v1/readiness')).catch(() => null)
    if (state.value?.ready) pause()
  },
  EVERY_MS,
  { immediate: true },
)
</script>

<template>
  <p v-if="state && !state.ready && state.compiled < 1" class="compiling" role="status">
    <strong>The simulations are being compiled for this machine, once.</strong>
    <progress :value="state.compiled" max="1" aria-label="Compiled" />
    Casts and drifts will be ready in about half a minute.
  </p>
</template>

<style scoped>
.compiling {
  position: sticky;
  top: 0;
  z-index: 12;
  padding: 7px 28px;
  border-bottom: 2px solid var(--act);
  background: var(--act-soft);
}

progress {
  width: 120px;
  margin: 0 8px;
}
</style>
