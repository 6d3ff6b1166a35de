<script setup lang="ts">
import SaidPart from './SaidPart.vue'
</script>

<template>
  <SaidPart
    part="pace"
    choices="paces"
    legend="At the surface: walk beside a floating leaf, or time a stick over ten steps"
    label="… or a speed"
    hint="2.5 ft/s, or 8 s for 10 steps"
  />
</template>
