<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { chipsOf, plainChips, useDay } from './useDay'

const { bench, catalogue, day, change } = useDay()
const said = computed(() => bench.evaluation?.said.depth)
const take = (text: string) => bench.say({ part: 'depth', text })
</script>

<template>
  <ChipChoice
    legend="Kind of water"
    :chips="plainChips(catalogue?.waters)"
    :model-value="day.water.kind"
    @update:model-value="(kind) => change('water', { kind })"
  />
  <ChipChoice
    legend="How deep where you fish"
    :chips="chipsOf(catalogue?.depths)"
    :model-value="said?.word ?? ''"
    @update:model-value="take"
  />
  <TypedField
    label="… or a depth"
    :model-value="said?.figure ?? ''"
    :take="take"
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
</template>
