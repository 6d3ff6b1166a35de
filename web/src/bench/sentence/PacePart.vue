<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { chipsOf, useDay } from './useDay'

const { bench, catalogue } = useDay()
const said = computed(() => bench.evaluation?.said.pace)
const take = (text: string) => bench.say({ part: 'pace', text })
</script>

<template>
  <ChipChoice
    legend="At the surface: walk beside a floating leaf and see"
    :chips="chipsOf(catalogue?.paces)"
    :model-value="said?.word ?? ''"
    @update:model-value="take"
  />
  <TypedField
    label="… or a speed"
    :model-value="said?.figure ?? ''"
    :take="take"
    hint="2.5 ft/s, 0.8 m/s"
  />
</template>
