<script setup lang="ts">
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import RulesPart from './RulesPart.vue'
import SaidPart from './SaidPart.vue'
import { plainChips, useDay } from './useDay'

const { bench, catalogue, day, change } = useDay()
</script>

<template>
  <ChipChoice
    legend="Kind of water"
    :chips="plainChips(catalogue?.waters)"
    :model-value="day.water.kind"
    @update:model-value="(kind) => change('water', { kind })"
  />
  <SaidPart
    part="depth"
    choices="depths"
    legend="How deep where you fish"
    label="… or a depth"
    hint="2 ft, 60 cm"
  />
  <ChipChoice
    legend="Bed"
    :chips="plainChips(catalogue?.beds)"
    :model-value="day.water.bed"
    @update:model-value="(bed) => change('water', { bed })"
  />
  <ChipChoice
    legend="Clarity"
    :chips="plainChips(catalogue?.clarities)"
    :model-value="day.water.clarity"
    @update:model-value="(clarity) => change('water', { clarity })"
  />
  <ChipChoice
    legend="Snags"
    :chips="plainChips(catalogue?.snags)"
    :model-value="day.water.snags"
    @update:model-value="(snags) => change('water', { snags })"
  />
  <TypedField
    label="Temperature"
    :model-value="bench.said?.temperature?.figure ?? ''"
    :take="(text) => bench.say({ part: 'temperature', text })"
  />
  <RulesPart />
</template>
