<script setup lang="ts">
import type { Component } from 'vue'
import { useBench } from '../useBench'
import FishPart from './FishPart.vue'
import FlyPart from './FlyPart.vue'
import OutfitPart from './OutfitPart.vue'
import PacePart from './PacePart.vue'
import SaySentence from './SaySentence.vue'
import WaterPart from './WaterPart.vue'
import WindPart from './WindPart.vue'
import WishPart from './WishPart.vue'

/** The day on the bench as a sentence. */
const bench = useBench()
const editors: Record<string, { title: string; editor: Component }> = {
  water: { title: 'The water', editor: WaterPart },
  pace: { title: 'How fast it flows', editor: PacePart },
  wind: { title: 'The wind', editor: WindPart },
  fly: { title: 'The fly', editor: FlyPart },
  wish: { title: 'What the fly should do', editor: WishPart },
  fish: { title: 'The fish', editor: FishPart },
  outfit: { title: 'Rod and line', editor: OutfitPart },
}
const titles = Object.fromEntries(
  Object.entries(editors).map(([part, editor]) => [part, editor.title]),
)
</script>

<template>
  <SaySentence
    v-if="bench.evaluation"
    v-slot="{ part }"
    :phrases="bench.evaluation.sentence"
    :titles="titles"
  >
    <component :is="editors[part]?.editor" />
  </SaySentence>
</template>
