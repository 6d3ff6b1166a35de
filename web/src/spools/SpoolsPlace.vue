<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PlaceParts from '@/widgets/PlaceParts.vue'
import OwnedShelf from './OwnedShelf.vue'

/** What is owned: on the shelf, measured, come and gone, to be bought. */
const PARTS = [
  { key: '', words: 'Owned', shows: OwnedShelf },
  {
    key: 'measure',
    words: 'Measure',
    shows: defineAsyncComponent(() => import('./measure/MeasurePart.vue')),
  },
  {
    key: 'ledger',
    words: 'History',
    shows: defineAsyncComponent(() => import('./LedgerPart.vue')),
  },
  { key: 'buy', words: 'To buy', shows: defineAsyncComponent(() => import('./BuyPart.vue')) },
]
</script>

<template>
  <PlaceParts title="Spools" base="/spools" label="Parts of Spools" :parts="PARTS" />
</template>
