<script setup lang="ts">
import { computed } from 'vue'
import type { Catalogue, SentenceEdit } from '@/api/client'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { useDay } from './useDay'

/** One figure of the day: words that stand for it, with what each means, or a figure as typed. */
const props = defineProps<{
  part: 'depth' | 'pace' | 'wind'
  choices: 'depths' | 'paces' | 'winds'
  legend: string
  label: string
  hint: string
}>()
const { bench, catalogue } = useDay()
const said = computed(() => bench.said?.[props.part])
const chips = computed(() =>
  ((catalogue.value as Catalogue | undefined)?.[props.choices] ?? []).map((item) => ({
    value: item.key,
    words: item.title,
    note: item.note,
  })),
)
const take = (text: string) => bench.say({ part: props.part, text } satisfies SentenceEdit)
</script>

<template>
  <ChipChoice
    :legend="legend"
    :chips="chips"
    :model-value="said?.word ?? ''"
    @update:model-value="take"
  />
  <TypedField :label="label" :model-value="said?.figure ?? ''" :take="take" :hint="hint" />
</template>
