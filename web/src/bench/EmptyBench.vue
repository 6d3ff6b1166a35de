<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answered, api } from '@/api/client'
import { useStock } from '@/api/queries'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from '@/shell/attempt'
import SayOwned from '@/spools/SayOwned.vue'
import NewLeaderFor from './NewLeaderFor.vue'
import SituationSentence from './sentence/SituationSentence.vue'
import StartLeaders from './StartLeaders.vue'
import { useBench } from './useBench'
import { useNewLeader } from './useNewLeader'

/** Where every leader begins: what is owned, the day, and the leaders that suit it. */
const anglers = useAnglers()
const bench = useBench()
const { fromNothing } = useNewLeader()
const { data: stock } = useStock()
const ownsNothing = computed(() => stock.value?.length === 0)
/** Whether lines that were typed are not understood yet. */
const unread = ref(false)

watch(ownsNothing, async (now, before) => {
  if (before && !now) await bench.startOver(await answered(api.GET('/api/v1/day')))
})
</script>

<template>
  <div class="place start">
    <h1 v-if="ownsNothing">First, what do you own?</h1>
    <h1 v-else class="unseen">New leader</h1>
    <SayOwned v-if="ownsNothing || unread" :begins="!unread" @left="unread = $event" />
    <template v-if="stock?.length">
      <NewLeaderFor />
      <SituationSentence />
      <StartLeaders />
    </template>
    <p class="row ways">
      <template v-if="stock && !ownsNothing">
        <button v-if="bench.canUndo" class="do" type="button" @click="bench.undo">
          Back to the leader before
        </button>
        <button class="do" type="button" @click="attempt(fromNothing)">Build by hand</button>
        <RouterLink to="/find">Find one by what it must do</RouterLink>
        <RouterLink to="/shelf">Open a saved one</RouterLink>
      </template>
      <button
        v-if="!anglers.here.some((item) => item.demo)"
        class="link"
        type="button"
        @click="attempt(anglers.toDemo)"
      >
        Look around the demo first
      </button>
    </p>
  </div>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
}

.ways {
  flex-wrap: wrap;
  gap: 8px 16px;
}
</style>
