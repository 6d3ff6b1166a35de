<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useRefusal } from '@/shell/useRefusal'
import { dayText } from '@/widgets/dayText'
import TriedTable from './TriedTable.vue'
import { useMe } from './useMe'

/** How the service does, who has joined, what was tried at its door. */
const me = useMe()
const queries = useQueryClient()
const { refused, attempt } = useRefusal()
const { data: seen, error } = useQuery({
  queryKey: ['operator'],
  queryFn: () => answered(api.GET('/api/v1/operator')),
  refetchInterval: 5000,
})
const calm = computed(() => seen.value?.words[0]?.startsWith('Nothing is waiting'))
const ms = (seconds: number) => (seconds < 1 ? `${Math.round(1000 * seconds)} ms` : `${seconds} s`)
const shut = (account: Schemas['AccountRow']) =>
  attempt(async () => {
    const params = { path: { account_id: account.account_id } }
    const body = { shut: !account.shut }
    await me.gravely(() =>
      answered(api.POST('/api/v1/operator/accounts/{account_id}/shut', { params, body })),
    )
    await queries.invalidateQueries({ queryKey: ['operator'] })
  })
</script>

<template>
  <div class="place">
    <h1>The service</h1>
    <p v-if="error" class="refusal" role="alert">{{ inWords(error) }}</p>
    <div v-if="seen" class="account">
      <p v-for="word in seen.words" :key="word" :class="{ poor: !calm }" role="status">
        {{ word }}
      </p>
      <dl class="figures">
        <div>
          <dt>here within ten minutes</dt>
          <dd>{{ seen.seen_now }}</dd>
        </div>
        <div>
          <dt>here within a day</dt>
          <dd>{{ seen.seen_today }}</dd>
        </div>
        <div v-for="crew in seen.crews" :key="crew.name">
          <dt>workers of the {{ crew.name }}</dt>
          <dd>
            {{ crew.busy }} busy, {{ crew.elsewhere }} remote, {{ crew.waiting }} waiting<span
              v-if="crew.waiting"
            >
              (oldest {{ crew.eldest_s }} s)</span
            >
          </dd>
          <dd class="quiet">
            {{ crew.done }} computed, {{ crew.known }} from cache, {{ crew.other }} cancelled or
            refused
          </dd>
        </div>
        <div>
          <dt>database: run again</dt>
          <dd>{{ seen.conflicts }}</dd>
        </div>
      </dl>
      <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
      <section aria-labelledby="accounts-title">
        <h2 id="accounts-title">Accounts</h2>
        <ul class="list">
          <li v-for="account in seen.accounts" :key="account.account_id" class="row">
            <span class="grow">
              <b>{{ account.name }}</b>
              <span class="quiet">
                joined {{ dayText(account.made_at)
                }}<template v-if="account.operator">, operator</template>
                <template v-if="account.shut">, shut: nobody comes in by it</template>
              </span>
            </span>
            <span v-if="account.me" class="quiet">you</span>
            <button v-else class="link" type="button" @click="shut(account)">
              {{ account.shut ? 'enable' : 'disable' }} {{ account.name }}
            </button>
          </li>
        </ul>
        <p>
          <RouterLink class="do" :to="{ name: 'account', params: { part: 'invite' } }">
            Invite another …
          </RouterLink>
        </p>
      </section>
      <section aria-labelledby="slow-title">
        <h2 id="slow-title">Slowest routes of this process</h2>
        <p class="quiet">Time to first byte: median and 95th percentile.</p>
        <table class="ruled">
          <thead>
            <tr>
              <th>Route</th>
              <th class="figure">Calls</th>
              <th class="figure">Half</th>
              <th class="figure">19 of 20</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="item in seen.slowest" :key="item.method + item.route">
              <td>{{ item.method }} {{ item.route }}</td>
              <td class="figure">{{ item.count }}</td>
              <td class="figure">{{ ms(item.p50_s) }}</td>
              <td class="figure">{{ ms(item.p95_s) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section aria-labelledby="tried-title">
        <h2 id="tried-title">Log-in activity</h2>
        <TriedTable :notes="seen.notes" whose />
      </section>
    </div>
  </div>
</template>

<style scoped src="./part.css"></style>
<style scoped>
table {
  width: 100%;
}

td.figure,
th.figure {
  text-align: right;
}

h1 {
  margin-bottom: 14px;
}

.account {
  max-width: 900px;
}

.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 36px;
  margin: 0;
}

dt {
  color: var(--ink-2);
  font-size: var(--small);
}

dd {
  margin: 0;
  font-size: 18px;
}

dd.quiet {
  font-size: var(--small);
}
</style>
