<script setup lang="ts">
import { computed } from 'vue'

/**
 * What is wrong at a joint, as a mark whose lower tip is at the origin: an open bow hanging down
 * where it is too soft, a filled wedge where it is too stiff, backwards or for nothing.
 */
const props = defineProps<{ flag: string }>()
const soft = computed(() => props.flag === 'hinge' || props.flag === 'soft')
</script>

<template>
  <path v-if="soft" d="M-6 -9C-6 1 6 1 6 -9" class="soft" />
  <path v-else d="M0 -10l6 9h-12z" class="stiff" />
</template>

<style scoped>
.soft {
  fill: none;
  stroke: var(--little);
  stroke-width: 2.6;
  stroke-linecap: round;
}

.stiff {
  fill: var(--much);
}
</style>
