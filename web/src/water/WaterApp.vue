<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import type { Schemas } from '@/api/client'
import DayAtWater from './DayAtWater.vue'
import { packsHere, type DayPack } from './keep'
import PairPhone from './PairPhone.vue'
import { ask, packInFile } from './useDay'

/** Which day it is: named in the address, packed in the file, or chosen from those kept here. */
const planId = ref(/^\/water\/([0-9a-f]{32})$/.exec(location.pathname)?.[1] ?? '')
const pairing = location.pathname === '/water/pair'
const here = shallowRef<DayPack[] | null>(null)
const atBench = shallowRef<Schemas['PlanCard'][]>([])
const refused = ref('')

onMounted(async () => {
  const inFile = packInFile()
  if (inFile) planId.value = inFile.plan_id
  if (planId.value || pairing) return
  try {
    here.value = await packsHere()
  } catch {
    refused.value = 'This phone keeps nothing here: allow it to keep data for this page.'
  }
  try {
    const kept = new Set(here.value?.map((one) => one.plan_id))
    const plans = await ask<Schemas['PlanCard'][]>('/api/plans')
    atBench.value = plans.filter((one) => one.packed && !kept.has(one.plan_id))
  } catch {
    // no signal: what is kept here is what there is
  }
})
</script>

<template>
  <DayAtWater v-if="planId" :key="planId" :plan-id="planId" />
  <PairPhone v-else-if="pairing" />
  <main v-else class="part">
    <h1>At the water</h1>
    <p v-if="refused" class="warn" role="alert">{{ refused }}</p>
    <p v-else-if="here && !here.length && !atBench.length">
      No day is packed on this phone. At the bench open <b>Days</b>, <b>Plan</b>, pack the day, and
      open <b>At the water</b> from there while the bench is in reach.
    </p>
    <button
      v-for="pack in here"
      :key="pack.plan_id"
      class="tap"
      type="button"
      @click="planId = pack.plan_id"
    >
      {{ pack.title }}<br /><span class="quiet">{{ pack.on }}, {{ pack.place }}</span>
    </button>
    <template v-if="atBench.length">
      <h2>Packed at the bench</h2>
      <button
        v-for="plan in atBench"
        :key="plan.plan_id"
        class="tap"
        type="button"
        @click="planId = plan.plan_id"
      >
        Fetch {{ plan.title }}<br /><span class="quiet">{{ plan.on }}, {{ plan.words }}</span>
      </button>
    </template>
  </main>
</template>
