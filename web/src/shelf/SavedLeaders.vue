<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, defineAsyncComponent, reactive, ref } from 'vue'
import type { LeaderCard } from '@/api/client'
import { useLabels, useLeaders } from '@/api/queries'
import { longestOf } from '@/drawing/side'
import { useGiving } from '@/shared/useGiving'
import SavedLeader from './SavedLeader.vue'
import { useShelfActs } from './useShelfActs'

/** Leaders kept over the seasons: found by anything in them, kept together by labels. */
const LeaderHistory = defineAsyncComponent(() => import('./LeaderHistory.vue'))
const ScanCode = defineAsyncComponent(() => import('@/bench/ScanCode.vue'))
const QUIET_MS = 150
const typed = ref('')
const q = refDebounced(typed, QUIET_MS)
const label = ref('')
const { leaders, total, isSuccess, hasNextPage, isFetchingNextPage, fetchNextPage } = useLeaders(
  () => ({ q: q.value.trim(), label: label.value }),
)
const { data: labels } = useLabels()
const acts = useShelfActs()
const giving = useGiving()
const longest = computed(() => longestOf(leaders.value))
const chosen = reactive(new Set<string>())
const history = ref<LeaderCard | null>(null)
const scanning = ref(false)
const picker = ref<HTMLInputElement>()
const narrowed = computed(() => !!q.value.trim() || !!label.value)

function choose(card: LeaderCard, on: boolean) {
  if (on) chosen.add(card.leader_id)
  else chosen.delete(card.leader_id)
}
function picked(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) void acts.takeFile(file)
  field.value = ''
}
</script>

<template>
  <section aria-labelledby="saved-title">
    <header class="row saved">
      <h2 id="saved-title">Saved leaders</h2>
      <span class="grow" />
      <button
        v-if="chosen.size"
        class="do do--main"
        type="button"
        @click="acts.asFile([...chosen])"
      >
        {{ chosen.size }} as one file
      </button>
      <button class="do" type="button" @click="picker?.click()">Import leaders …</button>
      <button class="do" type="button" @click="scanning = true">Scan a code …</button>
      <input
        ref="picker"
        class="unseen"
        type="file"
        accept=".json"
        aria-label="File of leaders"
        tabindex="-1"
        @change="picked"
      />
    </header>
    <div class="row seek">
      <label class="row">
        <span class="quiet">Search</span>
        <el-input v-model="typed" placeholder="grayling 5X, blood, estuary" clearable />
      </label>
      <template v-if="labels?.length">
        <button
          v-for="item in [{ label: '', leaders: 0 }, ...labels]"
          :key="item.label"
          class="do do--plain label"
          type="button"
          :aria-pressed="label === item.label"
          @click="label = item.label"
        >
          {{ item.label || 'all' }}
          <span v-if="item.label" class="quiet figure">{{ item.leaders }}</span>
        </button>
      </template>
      <span v-if="narrowed" class="quiet figure" role="status">{{ total }} found</span>
    </div>
    <ul class="list">
      <SavedLeader
        v-for="card in leaders"
        :key="card.leader_id"
        :card="card"
        :longest-m="longest"
        :chosen="chosen.has(card.leader_id)"
        @choose="(on) => choose(card, on)"
        @open="acts.open(card)"
        @compare="acts.compare(card)"
        @history="history = card"
        @take-off="acts.takeOff(card)"
        @give="giving.give('leader', card.leader_id, card.title)"
        @keep-raw="acts.keepRaw(card)"
        @label="(text) => acts.label(card, text)"
      />
    </ul>
    <p v-if="hasNextPage" class="row more">
      <button class="do" type="button" :disabled="isFetchingNextPage" @click="fetchNextPage()">
        {{ isFetchingNextPage ? 'Fetching …' : 'Show more' }}
      </button>
      <span class="quiet figure">{{ leaders.length }} of {{ total }}</span>
    </p>
    <p v-if="isSuccess && !leaders.length && narrowed" class="quiet">
      No saved leader matches. Remove a word, or choose “all”.
    </p>
    <p v-else-if="isSuccess && !leaders.length" class="quiet">
      Nothing saved yet. Choose a school above, put its leader on the bench, and save it there.
    </p>
    <LeaderHistory v-if="history" :card="history" @close="history = null" />
    <ScanCode v-if="scanning" v-model="scanning" />
  </section>
</template>

<style scoped>
.saved {
  margin-top: 34px;
}

.seek {
  margin-top: 8px;
}

.seek .el-input {
  width: 260px;
}

.label[aria-pressed='true'] {
  border-color: var(--act);
  background: var(--act-soft);
}

.list {
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}

.more {
  margin-top: 12px;
}
</style>
