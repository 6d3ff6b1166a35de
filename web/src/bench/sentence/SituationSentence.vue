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

/** The day at hand as a sentence, the same in every place. */
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
  <div v-if="bench.sentence.length">
    <SaySentence v-slot="{ part }" :phrases="bench.sentence" :titles="titles">
      <component :is="editors[part]?.editor" />
    </SaySentence>
    <p v-if="bench.note" class="quiet" role="status">{{ bench.note }}</p>
    <p v-if="!bench.design && bench.refusal" class="refusal" role="alert">{{ bench.refusal }}</p>
  </div>
</template>
