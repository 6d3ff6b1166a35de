<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { chipsOf, plainChips, useDay } from './useDay'

const { bench, catalogue, day, change } = useDay()
const said = computed(() => bench.evaluation?.said.wind)
const take = (text: string) => bench.say({ part: 'wind', text })
</script>

<template>
  <ChipChoice
    legend="How strong"
    :chips="chipsOf(catalogue?.winds)"
    :model-value="said?.word ?? ''"
    @update:model-value="take"
  />
  <TypedField
    label="… or a speed"
    :model-value="said?.figure ?? ''"
    :take="take"
    hint="10 mph, 4 m/s"
  />
  <ChipChoice
    legend="Where it blows"
    :chips="plainChips(catalogue?.bearings)"
    :model-value="day.wind.bearing"
    @update:model-value="(bearing) => change('wind', { bearing })"
  />
</template>
