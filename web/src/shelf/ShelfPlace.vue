<script setup lang="ts">
import { useRouter } from 'vue-router'
import { answered, api, type Leader } from '@/api/client'
import NewLeaderFor from '@/bench/NewLeaderFor.vue'
import SituationSentence from '@/bench/sentence/SituationSentence.vue'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import LowerRigList from './LowerRigList.vue'
import SavedLeaders from './SavedLeaders.vue'
import TodayList from './TodayList.vue'
import { useDayAtHand } from '@/bench/useDayAtHand'
import DoOrWhyNot from '@/widgets/DoOrWhyNot.vue'

const bench = useBench()
const settings = useSettings()
const router = useRouter()
const { situation, notYet } = useDayAtHand()

async function putOnBench(leader: Leader, title: string) {
  if (!situation.value) return
  await bench.openDesign({ title, notes: '', situation: situation.value, leader })
  await router.push('/')
}

const fromNothing = () =>
  attempt(async () => {
    if (!situation.value) return
    const body = { situation: situation.value, units: settings.units }
    const leader = await answered(api.POST('/api/v1/proposals/bare', { body }))
    await putOnBench(leader, 'New leader')
  })
</script>

<template>
  <div class="place">
    <h1 class="unseen">Shelf</h1>
    <NewLeaderFor />
    <SituationSentence class="schools__day" />
    <section class="schools" aria-labelledby="schools-title">
      <div class="row">
        <h2 id="schools-title">Which school today?</h2>
        <span class="grow" />
        <DoOrWhyNot :why-not="notYet" @act="fromNothing">Build by hand</DoOrWhyNot>
      </div>
      <p class="quiet schools__day">
        Each is built from the spools you own, cast with your stroke and fished on this day. The
        marks are turnover, depth, drift, match, hold and length.
      </p>
      <TodayList :situation="situation" @bench="putOnBench" />
    </section>
    <SavedLeaders />
    <LowerRigList :situation="situation" />
  </div>
</template>

<style scoped>
.schools {
  margin-top: 12px;
}

.schools__day {
  margin: 6px 0 12px;
}
</style>
