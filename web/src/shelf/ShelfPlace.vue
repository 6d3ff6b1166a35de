<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answered, api, type Leader } from '@/api/client'
import { inWords } from '@/api/problems'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import SavedLeaders from './SavedLeaders.vue'
import SchoolList from './SchoolList.vue'
import { useDayAtHand } from './useDayAtHand'

const bench = useBench()
const settings = useSettings()
const router = useRouter()
const { situation, sentence } = useDayAtHand()
const forWhat = computed(() => sentence.value || 'the day on the bench')

async function putOnBench(leader: Leader, title: string) {
  if (!situation.value) return
  await bench.openDesign({ title, notes: '', situation: situation.value, leader })
  await router.push('/')
}

async function fromNothing() {
  if (!situation.value) return
  try {
    const body = { situation: situation.value, units: settings.units }
    const leader = await answered(api.POST('/api/proposals/bare', { body }))
    await putOnBench(leader, 'New leader')
  } catch (error) {
    notify(inWords(error), 'trouble')
  }
}
</script>

<template>
  <div class="place">
    <h1>Shelf</h1>
    <SavedLeaders />
    <section class="schools" aria-labelledby="schools-title">
      <div class="row">
        <h2 id="schools-title">Start from a school of taper</h2>
        <span class="grow" />
        <button class="do" type="button" @click="fromNothing">Build from nothing</button>
      </div>
      <p class="quiet schools__day">
        Each builds for the day on the bench from the spools you own. {{ forWhat }}
      </p>
      <SchoolList :situation="situation" @bench="putOnBench" />
    </section>
  </div>
</template>

<style scoped>
.schools {
  margin-top: 34px;
}

.schools__day {
  margin: 6px 0 12px;
}
</style>
