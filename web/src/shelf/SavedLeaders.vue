<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answered, api, type LeaderCard } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { useLeaders } from '@/api/queries'
import { useBench } from '@/bench/useBench'
import { longestOf } from '@/drawing/side'
import { attempt } from '@/shell/attempt'
import MiniStrip from '@/widgets/MiniStrip.vue'

const bench = useBench()
const router = useRouter()
const queries = useQueryClient()
const { leaders, total, isSuccess, hasNextPage, isFetchingNextPage, fetchNextPage } = useLeaders()
const removed = ref<LeaderCard | null>(null)
const longest = computed(() => longestOf(leaders.value))

const anew = (work: () => Promise<unknown>) =>
  attempt(async () => {
    await work()
    await queries.invalidateQueries({ queryKey: ['leaders'] })
  })

const open = (card: LeaderCard) =>
  anew(async () => {
    await bench.openLeader(card.leader_id)
    await router.push('/')
  })

const compare = (card: LeaderCard) =>
  anew(async () => {
    const path = { leader_id: card.leader_id }
    const found = await answered(api.GET('/api/leaders/{leader_id}', { params: { path } }))
    bench.pinGhost(found.design)
    await router.push('/')
  })

const takeOff = (card: LeaderCard) =>
  anew(async () => {
    const path = { leader_id: card.leader_id }
    await answered(api.DELETE('/api/leaders/{leader_id}', { params: { path } }))
    removed.value = card
  })

const keepRaw = (card: LeaderCard) =>
  anew(() => {
    const path = { kind: 'leader' as const, row_id: `${card.leader_id}.${card.revision}` }
    const asked = { params: { path }, parseAs: 'blob' as const }
    return keepAnswer(api.GET('/api/kept/damaged/{kind}/{row_id}', asked))
  })

const putBack = (card: LeaderCard) =>
  anew(async () => {
    const path = { leader_id: card.leader_id }
    await answered(api.POST('/api/leaders/{leader_id}/restore', { params: { path } }))
    removed.value = null
  })

const day = (iso: string) =>
  new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })
</script>

<template>
  <section aria-labelledby="saved-title">
    <h2 id="saved-title" class="saved">Saved leaders</h2>
    <p v-if="removed" class="refusal row" role="status">
      “{{ removed.title }}” is off the shelf.
      <button class="do" type="button" @click="putBack(removed)">Put it back</button>
    </p>
    <ul class="list">
      <li v-for="card in leaders" :key="card.leader_id" class="card">
        <div class="card__words">
          <h3>
            <template v-if="card.damaged">{{ card.title }}</template>
            <button v-else class="card__open" type="button" @click="open(card)">
              {{ card.title }}
            </button>
          </h3>
          <p v-if="card.damaged" class="quiet">revision {{ card.revision }}</p>
          <p v-else class="quiet">
            {{ card.school }} · {{ card.length }} to {{ card.tippet }} · revision
            {{ card.revision }},
            {{ day(card.updated_at) }}
          </p>
          <p class="card__notes">{{ card.notes }}</p>
        </div>
        <p v-if="card.damaged" class="refusal">
          Damaged. {{ card.damaged }} Nothing of it is lost, and the other leaders are untouched.
        </p>
        <MiniStrip v-else :outline="card.outline" :hung="card.hung" :longest-m="longest" />
        <div class="card__acts">
          <button
            v-if="card.damaged"
            class="do"
            type="button"
            :aria-label="`Keep as a file: ${card.title}`"
            @click="keepRaw(card)"
          >
            Keep as a file
          </button>
          <button
            v-else
            class="do"
            type="button"
            :aria-label="`Compare: ${card.title}`"
            @click="compare(card)"
          >
            Compare
          </button>
          <button
            class="do do--plain"
            type="button"
            :aria-label="`Take off: ${card.title}`"
            @click="takeOff(card)"
          >
            Take off
          </button>
        </div>
      </li>
    </ul>
    <p v-if="hasNextPage" class="row more">
      <button class="do" type="button" :disabled="isFetchingNextPage" @click="fetchNextPage()">
        {{ isFetchingNextPage ? 'Fetching …' : 'Show more' }}
      </button>
      <span class="quiet figure">{{ leaders.length }} of {{ total }}</span>
    </p>
    <p v-if="isSuccess && !leaders.length" class="quiet">
      Nothing saved yet. Choose a school above, put its leader on the bench, and save it there.
    </p>
  </section>
</template>

<style scoped>
.saved {
  margin-top: 34px;
}

.list {
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}

.card {
  display: grid;
  grid-template-columns: minmax(240px, 2fr) minmax(200px, 3fr) auto;
  align-items: center;
  gap: 18px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}

.more {
  margin-top: 12px;
}

.card__open {
  padding: 0;
  border: 0;
  background: none;
  color: var(--act);
  font-size: 17px;
  font-weight: 640;
  text-align: left;
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
  cursor: pointer;
}

.card__notes {
  margin-top: 2px;
  font-size: 14px;
}

.card__acts {
  display: flex;
  gap: 2px;
}

@media (max-width: 820px) {
  .card {
    grid-template-columns: 1fr;
    gap: 8px;
  }

  .card__open {
    min-height: 48px;
  }
}
</style>
