<script setup lang="ts">
import { computed } from 'vue'
import type { Situation } from '@/api/client'
import ChipChoice from '@/widgets/ChipChoice.vue'
import { useDay } from './useDay'

/** What the fly is to do, each said as a newcomer would know it. */
const NOTES: Record<Situation['wish'], string> = {
  'drift on top': 'a dry fly, without drag',
  'hang in the film': 'an emerger, half under',
  'drift deep': 'a nymph under an indicator or a dry fly, or on a tight line',
  swing: 'held below you while the current carries it across',
  strip: 'pulled in by hand',
  'lead and drop': 'led through, let drop and lifted again',
}
const { catalogue, day, replace } = useDay()
const chips = computed(() =>
  (catalogue.value?.wishes ?? []).map((wish) => ({ value: wish, words: wish, note: NOTES[wish] })),
)
</script>

<template>
  <ChipChoice
    legend="The school and the tippet follow from this"
    :chips="chips"
    :model-value="day.wish"
    @update:model-value="(wish) => replace('wish', wish)"
  />
</template>
