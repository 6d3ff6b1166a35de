<script setup lang="ts">
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useLeaders } from '@/api/queries'
import { useAnswer } from '@/api/useAnswer'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { useLedger } from '@/spools/useLedger'
import CardPrinter from './CardPrinter.vue'
import { MOST, useBatch } from './useBatch'

/** Several at one sitting: how many of this one and of those on the shelf, and what that takes. */
const bench = useBench()
const settings = useSettings()
const ledger = useLedger()
const { own, others, wanted, want, clear } = useBatch()
const { leaders, hasNextPage, isFetchingNextPage, fetchNextPage } = useLeaders()

const shelf = computed(() =>
  leaders.value.filter((leader) => leader.leader_id !== bench.saved?.leader_id),
)
const { answer: batch } = useAnswer(
  () => (wanted.value.length ? { wanted: wanted.value, units: settings.units } : null),
  (body, { signal }) => answered(api.POST('/api/v1/tying/batch', { body, signal })),
  { keep: true },
)

function counted(event: Event): number {
  const field = event.target as HTMLInputElement
  const count = Math.min(MOST, Math.max(0, Math.round(Number(field.value) || 0)))
  field.value = String(count)
  return count
}

async function allTied() {
  await ledger.tied(wanted.value)
  clear()
}
</script>

<template>
  <section class="batch" aria-labelledby="batch-title">
    <div class="row">
      <h2 id="batch-title" class="grow">A batch in one sitting</h2>
      <CardPrinter :wanted="wanted" />
    </div>
    <div class="batch__body">
      <ul class="batch__list">
        <li>
          <input
            class="batch__count figure"
            type="number"
            min="0"
            :max="MOST"
            :value="own"
            aria-label="How many of this leader"
            @change="own = counted($event)"
          />
          <span>of this one, {{ bench.design?.title }}</span>
        </li>
        <li v-for="item in shelf" :key="item.leader_id">
          <input
            class="batch__count figure"
            type="number"
            min="0"
            :max="MOST"
            :value="others[item.leader_id] ?? 0"
            :aria-label="`How many of ${item.title}`"
            @change="attempt(() => want(item.leader_id, counted($event)))"
          />
          <span>{{ item.title }}</span>
        </li>
        <li v-if="hasNextPage">
          <button class="do" type="button" :disabled="isFetchingNextPage" @click="fetchNextPage()">
            Show more of the shelf
          </button>
        </li>
      </ul>
      <div v-if="batch && wanted.length">
        <p class="batch__words" role="status">{{ batch.words }}</p>
        <table>
          <thead>
            <tr>
              <th scope="col">From</th>
              <th scope="col">Takes</th>
              <th scope="col">Has</th>
              <th scope="col">Leaves</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in batch.rows" :key="row.stock" :class="{ short: row.short }">
              <td>{{ row.stock }}</td>
              <td class="figure">{{ row.takes }}</td>
              <td class="figure">{{ row.left }}</td>
              <td class="figure">{{ row.short ? 'runs out' : row.after }}</td>
            </tr>
          </tbody>
        </table>
        <p class="row batch__acts">
          <button class="do" type="button" @click="allTied">
            All tied: take it off the spools
          </button>
          <RouterLink class="do" to="/spools/buy">What to buy for it</RouterLink>
        </p>
      </div>
      <p v-else class="quiet">Enter how many, and see whether the spools are enough.</p>
    </div>
  </section>
</template>

<style scoped>
.batch {
  margin-top: 22px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}

.batch__body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 28px;
  margin-top: 8px;
}

.batch__list {
  margin: 0;
  padding: 0;
  list-style: none;
}

.batch__list li {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 3px 0;
}

.batch__count {
  width: 64px;
  height: 32px;
  padding: 0 8px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
}

.batch__words {
  font-weight: 640;
}

table {
  width: 100%;
  border-collapse: collapse;
  text-align: left;
}

th {
  color: var(--ink-2);
  font-size: var(--small);
  font-weight: 500;
}

th,
td {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--hair);
}

.batch__acts {
  margin-top: 10px;
}

.short {
  color: var(--much);
}

@media (max-width: 820px) {
  .batch__body {
    grid-template-columns: minmax(0, 1fr);
  }

  .batch__count {
    height: 48px;
  }
}
</style>
