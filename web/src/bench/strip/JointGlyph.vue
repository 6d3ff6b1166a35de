<script setup lang="ts">
import { computed } from 'vue'
import type { Connection } from '@/api/client'
import { EYE, PATHS } from './glyphs'

/** A joint as a small drawing around its own middle, about 20 px wide. */
const props = defineProps<{ joint: Connection }>()

const path = computed(() => {
  const { kind, knot } = props.joint
  return PATHS[kind === 'knot' ? knot : kind] ?? EYE
})
</script>

<template>
  <path :d="path" class="glyph" />
</template>

<style scoped>
.glyph {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.7;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
