<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { plainChips, useDay } from './useDay'

/** What is behind the line on the reel, so that everything from reel to hook is one chain. */
const { bench, catalogue, day, changeWithin } = useDay()
const backing = computed(() => day.value.line.backing)

function set(part: Partial<NonNullable<typeof backing.value>>) {
  if (backing.value) changeWithin('line', 'backing', part)
}
</script>

<template>
  <TypedField
    label="Backing behind the line: strength, length"
    :model-value="bench.said?.backing?.figure ?? ''"
    :take="(text) => bench.say({ part: 'backing', text })"
    hint="20 lb, 100 yd"
  />
  <template v-if="backing">
    <ChipChoice
      legend="Of"
      :chips="plainChips(catalogue?.backings)"
      :model-value="backing.material"
      @update:model-value="(material) => set({ material })"
    />
    <ChipChoice
      legend="To the reel"
      :chips="plainChips(catalogue?.reel_ties)"
      :model-value="backing.to_reel"
      @update:model-value="(to_reel) => set({ to_reel })"
    />
    <ChipChoice
      legend="To the line"
      :chips="plainChips(catalogue?.line_ties)"
      :model-value="backing.to_line"
      @update:model-value="(to_line) => set({ to_line })"
    />
  </template>
</template>
