<script setup lang="ts">
import SaySentence from '@/bench/sentence/SaySentence.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import PlainField from '@/widgets/PlainField.vue'
import { useFind } from './useFind'
import WishOrder from './WishOrder.vue'

/** What is asked of a leader, as a sentence. */
const find = useFind()
const TITLES = {
  stroke: 'Your stroke',
  fish: 'The fish it must hold',
  knots: 'Knots in it',
  flies: 'Flies on it',
  length: 'How long',
  bought: 'What it is built from',
  wishes: 'What you prefer',
}
const STROKES = [
  { value: '', words: 'as on the bench' },
  ...['easy', 'normal', 'a fifth harder', 'hard', 'double haul'].map((word) => ({
    value: word,
    words: word,
  })),
]
const KNOTS = [
  { value: '', words: 'any number' },
  ...Array.from({ length: 8 }, (_, most) => ({ value: String(most), words: `${most}` })),
]
const FLIES = [
  { value: '', words: 'as its school rigs' },
  { value: '1', words: 'one' },
  { value: '2', words: 'two' },
  { value: '3', words: 'three' },
]
const BOUGHT = [
  { value: 'cut', words: 'bought tapers cut as need be' },
  { value: 'whole', words: 'bought tapers whole' },
  { value: 'none', words: 'spools alone' },
] as const
</script>

<template>
  <SaySentence
    v-if="find.said"
    v-slot="{ part }"
    name="ask"
    :phrases="find.said.sentence"
    :titles="TITLES"
  >
    <ChipChoice
      v-if="part === 'stroke'"
      v-model="find.asked.speed"
      legend="How you throw it"
      :chips="STROKES"
    />
    <PlainField
      v-if="part === 'fish'"
      v-model="find.asked.fish"
      label="Weight, if not the day's"
      hint="2 lb, 1.2 kg"
    />
    <ChipChoice
      v-if="part === 'knots'"
      legend="At most, between line and fly; those at the line and at the fly do not count"
      :chips="KNOTS"
      :model-value="find.asked.most_knots === null ? '' : String(find.asked.most_knots)"
      @update:model-value="(most) => (find.asked.most_knots = most === '' ? null : Number(most))"
    />
    <ChipChoice
      v-if="part === 'flies'"
      legend="Those above the point are tied on tags or in line, whichever comes out better"
      :chips="FLIES"
      :model-value="find.asked.flies === null ? '' : String(find.asked.flies)"
      @update:model-value="(flies) => (find.asked.flies = flies === '' ? null : Number(flies))"
    />
    <template v-if="part === 'length'">
      <PlainField v-model="find.asked.shortest" label="At least" hint="8 ft, 2.5 m" />
      <PlainField v-model="find.asked.longest" label="At most" hint="12 ft, 3.6 m" />
      <p class="quiet">
        Left empty, each has its school's length. Some schools tie long leaders: say at most how
        long.
      </p>
    </template>
    <ChipChoice
      v-if="part === 'bought'"
      v-model="find.asked.bought"
      legend="Of what you own"
      :chips="BOUGHT"
    />
    <WishOrder v-if="part === 'wishes'" v-model="find.asked.wishes" />
  </SaySentence>
</template>
