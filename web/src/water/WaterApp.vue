<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { dayText, withDays } from '@/widgets/dayText'
import DayAtWater from './DayAtWater.vue'
import { packsHere, type DayPack } from './keep'
import PairPhone from './PairPhone.vue'
import { fetchPacks } from './fetchPacks'
import { packInFile } from './useDay'

/** Which day it is: named in the address, packed in the file, or chosen from those kept here. */
const planId = ref(/^\/water\/([0-9a-f]{32})$/.exec(location.pathname)?.[1] ?? '')
const pairing = location.pathname === '/water/pair'
const here = shallowRef<DayPack[] | null>(null)
/** Whether the bench is being asked for packed days. */
const asking = ref(true)
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
    here.value = await fetchPacks()
  } catch {
    // no signal: what is kept here is what there is
  }
  asking.value = false
})
</script>

<template>
  <DayAtWater v-if="planId" :key="planId" :plan-id="planId" />
  <PairPhone v-else-if="pairing" />
  <main v-else class="part">
    <h1>At the water</h1>
    <p v-if="refused" class="warn" role="alert">{{ refused }}</p>
    <p v-else-if="asking && !here?.length" role="status">Fetching packed days …</p>
    <p v-else-if="!here?.length">
      There is no packed day on this phone. At the bench, open <b>Days</b>, then <b>Plan</b>, and
      pack the day. Then open this page while the bench is in reach: packed days are fetched
      automatically.
    </p>
    <button
      v-for="pack in here"
      :key="pack.plan_id"
      class="tap"
      type="button"
      @click="planId = pack.plan_id"
    >
      {{ withDays(pack.title) }}<br /><span class="quiet"
        >{{ dayText(pack.on) }}, {{ pack.place }}</span
      >
    </button>
  </main>
</template>
