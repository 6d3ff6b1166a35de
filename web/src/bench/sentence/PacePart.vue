<script setup lang="ts">
import SaidPart from './SaidPart.vue'
</script>

<template>
  <SaidPart
    part="pace"
    choices="paces"
    legend="At the surface: walk beside a floating leaf and see"
    label="… or a speed"
    hint="2.5 ft/s, 0.8 m/s"
  />
</template>
