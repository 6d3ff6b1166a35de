<script setup lang="ts">
import { computed } from 'vue'
import { svgSource } from './svgSource'

/** A code to be scanned off the screen, as the server drew it. */
const props = defineProps<{ svg: string; alt: string }>()
const source = computed(() => svgSource(props.svg))
</script>

<template>
  <img :src="source" :alt="alt" />
</template>

<style scoped>
img {
  width: 160px;
}
</style>
