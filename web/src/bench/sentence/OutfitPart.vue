<script setup lang="ts">
import { computed } from 'vue'
import { useKit } from '@/api/queries'
import ChipChoice from '@/widgets/ChipChoice.vue'
import BackingPart from './BackingPart.vue'
import NewLine from './NewLine.vue'
import NewRod from './NewRod.vue'
import { useDay } from './useDay'

const { day, replace } = useDay()
const { data: kit } = useKit()
const chips = (owned: { title: string }[] | undefined) =>
  (owned ?? []).map(({ title }) => ({ value: title, words: title }))
const rods = computed(() => chips(kit.value?.rods))
const lines = computed(() => chips(kit.value?.lines))

function chooseRod(title: string) {
  const rod = kit.value?.rods.find((rod) => rod.title === title)
  if (rod) replace('rod', rod)
}

function chooseLine(title: string) {
  const line = kit.value?.lines.find((line) => line.title === title)
  if (line) replace('line', line)
}
</script>

<template>
  <ChipChoice
    legend="Rod"
    :chips="rods"
    :model-value="day.rod.title"
    @update:model-value="chooseRod"
  />
  <NewRod @made="(rod) => replace('rod', rod)" />
  <ChipChoice
    legend="Line"
    :chips="lines"
    :model-value="day.line.title"
    @update:model-value="chooseLine"
  />
  <NewLine @made="(line) => replace('line', line)" />
  <BackingPart />
</template>
