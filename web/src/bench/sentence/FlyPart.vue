<script setup lang="ts">
import { computed } from 'vue'
import { useKit } from '@/api/queries'
import ChipChoice from '@/widgets/ChipChoice.vue'
import FlyFigures from './FlyFigures.vue'
import NewFly from './NewFly.vue'
import { useDay } from './useDay'

const { bench, day } = useDay()
const { data: kit } = useKit()
const flies = computed(() =>
  (kit.value?.flies ?? []).map(({ title: t }) => ({ value: t, words: t })),
)

function choose(title: string) {
  const fly = kit.value?.flies.find((fly) => fly.title === title)
  if (fly) bench.tieOn(fly)
}
</script>

<template>
  <ChipChoice
    legend="From your box"
    :chips="flies"
    :model-value="day.fly.title"
    @update:model-value="choose"
  />
  <FlyFigures :fly="day.fly" />
  <NewFly @made="bench.tieOn" />
</template>
