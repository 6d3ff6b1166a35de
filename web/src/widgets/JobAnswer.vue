<script setup lang="ts">
import JobProgress from './JobProgress.vue'

/** An answer that takes long: how far it is, that it was stopped, why it is refused, or itself. */
defineProps<{ share: number | null; words: string; stopped: boolean; refused: string }>()
const emit = defineEmits<{ stop: []; again: [] }>()
</script>

<template>
  <JobProgress v-if="share !== null" :share="share" :words="words" @stop="emit('stop')" />
  <p v-else-if="stopped" class="quiet" role="status">
    Stopped. <button class="do" type="button" @click="emit('again')">Compute it anyway</button>
  </p>
  <p v-if="refused" class="refusal" role="status">{{ refused }}</p>
  <slot v-else />
</template>
