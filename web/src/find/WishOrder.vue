<script setup lang="ts">
import { computed } from 'vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import type { Wish } from './useFind'

/** Up to three wishes, the first going before the second and that before the third. */
const wishes = defineModel<Wish[]>({ required: true })
const MOST = 3
const ALL: { value: Wish; note: string }[] = [
  { value: 'long and fine', note: 'far from the line, thin at the fly' },
  { value: 'easy to throw', note: 'much of the stroke to spare' },
  { value: 'fishing well', note: 'well within its depth and drift' },
  { value: 'strong', note: 'holds more than the day asks' },
  { value: 'few knots', note: 'and little material' },
]
const LEGENDS = ['Most important', 'Then', 'Last']
const places = computed(() =>
  LEGENDS.slice(0, Math.min(MOST, wishes.value.length + 1)).map((legend, place) => ({
    legend,
    place,
    chips: [
      ...ALL.filter(({ value }) => !wishes.value.slice(0, place).includes(value)).map((item) => ({
        value: item.value as Wish | 'none',
        words: item.value,
        note: item.note,
      })),
      { value: 'none' as const, words: place ? 'nothing more' : 'nothing before the rest' },
    ],
  })),
)

/** What comes after a wish that is changed stays, but for that wish itself. */
function wish(place: number, chosen: Wish | 'none') {
  const before = wishes.value.slice(0, place)
  const after = wishes.value.slice(place + 1).filter((wish) => wish !== chosen)
  wishes.value = chosen === 'none' ? before : [...before, chosen, ...after]
}
</script>

<template>
  <ChipChoice
    v-for="{ legend, place, chips } in places"
    :key="place"
    :legend="legend"
    :chips="chips"
    :model-value="wishes[place] ?? 'none'"
    @update:model-value="(chosen) => wish(place, chosen)"
  />
</template>
