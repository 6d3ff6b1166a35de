<script setup lang="ts">
import ChipChoice from '@/widgets/ChipChoice.vue'
import { plainChips, useDay } from './useDay'

const { catalogue, day, replace } = useDay()
</script>

<template>
  <ChipChoice
    legend="The school and the tippet follow from this"
    :chips="plainChips(catalogue?.wishes)"
    :model-value="day.wish"
    @update:model-value="(wish) => replace('wish', wish)"
  />
</template>
