<script setup lang="ts">
/** How far long work is, and the way to stop it. */
defineProps<{ share: number; words: string }>()
const emit = defineEmits<{ stop: [] }>()
</script>

<template>
  <p class="job">
    <span class="quiet" role="status">{{ words }}</span>
    <progress :value="Math.max(0.02, share)" max="1" :aria-label="words" />
    <button type="button" class="do" @click="emit('stop')">Stop</button>
  </p>
</template>

<style scoped>
.job {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin: 4px 0;
}

progress {
  flex: 1 1 80px;
  min-width: 60px;
  max-width: 220px;
  height: 6px;
  border: 0;
  border-radius: 3px;
  background: var(--hair);
  overflow: hidden;
  appearance: none;
}

progress::-webkit-progress-bar {
  background: var(--hair);
}

progress::-webkit-progress-value {
  background: var(--act);
  transition: inline-size 0.2s linear;
}

progress::-moz-progress-bar {
  background: var(--act);
}

@media (prefers-reduced-motion: reduce) {
  progress::-webkit-progress-value {
    transition: none;
  }
}
</style>
