<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import TypedField from '@/widgets/TypedField.vue'
import { plainChips, useDay } from './useDay'

const { bench, catalogue, day, change, changeWithin } = useDay()
const said = computed(() => bench.said)
const kinds = computed(() => [
  ...(catalogue.value?.fish ?? []).map(({ key, title }) => ({ value: key, words: title })),
  { value: 'other', words: 'another fish …' },
])
const own = computed(() => day.value.quarry.own)

function setOwn(part: Partial<NonNullable<typeof own.value>>) {
  if (own.value) changeWithin('quarry', 'own', part)
}

function call(title: string) {
  setOwn({ title: title.trim() || 'fish' })
  return Promise.resolve()
}
</script>

<template>
  <ChipChoice
    legend="Which fish"
    :chips="kinds"
    :model-value="said?.fish?.word ?? ''"
    @update:model-value="(text) => bench.say({ part: 'fish', text })"
  />
  <template v-if="own">
    <TypedField label="Name" :model-value="own.title" :take="call" hint="roach" />
    <ChipChoice
      legend="Its mouth"
      :chips="plainChips(catalogue?.mouths)"
      :model-value="own.mouth"
      @update:model-value="(mouth) => setOwn({ mouth })"
    />
    <ChipChoice
      legend="Its teeth"
      :chips="plainChips(catalogue?.teeth)"
      :model-value="own.teeth"
      @update:model-value="(teeth) => setOwn({ teeth })"
    />
  </template>
  <TypedField
    label="Largest fish expected"
    :model-value="said?.['fish mass']?.figure ?? ''"
    :take="(text) => bench.say({ part: 'fish mass', text })"
    hint="2 lb 8 oz, 1.2 kg"
  />
  <ChipChoice
    legend="How wary"
    :chips="plainChips(catalogue?.tempers)"
    :model-value="day.quarry.temper"
    @update:model-value="(temper) => change('quarry', { temper })"
  />
</template>
