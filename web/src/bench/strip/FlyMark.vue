<script setup lang="ts">
/** The fly at the end of the strip: a hook and a little hackle. */
defineProps<{ x: number; y: number }>()
</script>

<template>
  <g :transform="`translate(${x} ${y})`" aria-hidden="true">
    <path class="hackle" d="M3 -9l3 8M8 -11l1 10M14 -9l-3 8M4 8l3 -7M13 8l-4 -7" />
    <path class="hook" d="M0 0h20c9 0 11 13 2 14c-5 0 -7 -4 -5 -7" />
  </g>
</template>

<style scoped>
.hook {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linecap: round;
}

.hackle {
  stroke: var(--nylon-stiff);
  stroke-width: 1.6;
  stroke-linecap: round;
}
</style>
