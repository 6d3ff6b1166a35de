<script setup lang="ts">
import { useRouter } from 'vue-router'
import NewLeaderFor from '@/bench/NewLeaderFor.vue'
import SituationSentence from '@/bench/sentence/SituationSentence.vue'
import { attempt } from '@/shell/attempt'
import LowerRigList from './LowerRigList.vue'
import SavedLeaders from './SavedLeaders.vue'
import TodayList from './TodayList.vue'
import { useDayAtHand } from '@/bench/useDayAtHand'
import { useNewLeader } from '@/bench/useNewLeader'
import DoOrWhyNot from '@/widgets/DoOrWhyNot.vue'

const { situation, notYet } = useDayAtHand()

const { put, fromNothing } = useNewLeader()
const router = useRouter()

async function toBench(work: () => Promise<void>) {
  await attempt(async () => {
    await work()
    await router.push('/')
  })
}
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
        <DoOrWhyNot :why-not="notYet" @act="toBench(fromNothing)">Build by hand</DoOrWhyNot>
      </div>
      <p class="quiet schools__day">
        Each is built from the spools you own, cast with your stroke and fished on this day. The
        marks are turnover, depth, drift, match, hold and length.
      </p>
      <TodayList
        :situation="situation"
        @bench="(leader, title) => toBench(() => put(leader, title))"
      />
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
