<script setup lang="ts">
import ChipChoice from '@/widgets/ChipChoice.vue'
import SaidPart from './SaidPart.vue'
import { plainChips, useDay } from './useDay'

const { catalogue, day, change } = useDay()
</script>

<template>
  <SaidPart
    part="wind"
    choices="winds"
    legend="How strong"
    label="… or a speed"
    hint="10 mph, 4 m/s"
  />
  <ChipChoice
    legend="Where it blows"
    :chips="plainChips(catalogue?.bearings)"
    :model-value="day.wind.bearing"
    @update:model-value="(bearing) => change('wind', { bearing })"
  />
</template>
