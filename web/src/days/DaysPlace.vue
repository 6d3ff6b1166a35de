<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PlaceParts from '@/widgets/PlaceParts.vue'
import WatersPart from './WatersPart.vue'

/** The angler's waters, the day that is planned, what lies ready, what happened. */
const PARTS = [
  { key: '', words: 'Waters', shows: WatersPart },
  { key: 'plan', words: 'Plan', shows: defineAsyncComponent(() => import('./plan/PlanPart.vue')) },
  {
    key: 'wallet',
    words: 'Wallet',
    shows: defineAsyncComponent(() => import('./wallet/WalletPart.vue')),
  },
  {
    key: 'log',
    words: 'What happened',
    shows: defineAsyncComponent(() => import('./log/LogPart.vue')),
  },
]
</script>

<template>
  <PlaceParts title="Days" base="/days" label="Parts of Days" :parts="PARTS" />
</template>
