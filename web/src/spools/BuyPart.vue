<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { useBatch } from '@/tie/useBatch'
import DaysAhead from './DaysAhead.vue'

/** What is to be bought: what the next leaders lack, what is low, what is old. */
const settings = useSettings()
const { wanted } = useBatch()
const body = computed(() => ({ wanted: wanted.value, units: settings.units }))
const { data: list } = useQuery({
  queryKey: ['shopping', body],
  queryFn: () => answered(api.POST('/api/v1/ledger/shopping', { body: body.value })),
  placeholderData: (before) => before,
})
const batch = computed(() =>
  wanted.value.map(({ design, count }) => `${count} of ${design.title}`).join(', '),
)

const keep = () =>
  attempt(() =>
    keepAnswer(api.POST('/api/v1/ledger/shopping/csv', { body: body.value, parseAs: 'blob' })),
  )
const print = () => window.print()
</script>

<template>
  <section aria-labelledby="buy-title" class="buy">
    <header class="row">
      <h2 id="buy-title" class="grow">To buy</h2>
      <button class="do" type="button" :disabled="!list?.rows.length" @click="print">Print</button>
      <button class="do" type="button" :disabled="!list?.rows.length" @click="keep">As CSV</button>
    </header>
    <p class="quiet buy__for">
      <template v-if="batch">Includes the batch: {{ batch }}.</template>
      <template v-else
        >Say under <RouterLink to="/tie">Tie</RouterLink> how many you want to tie next, and what is
        missing appears here too.</template
      >
      A spool is low when it has less than three of your largest pieces left.
    </p>
    <p v-if="list" class="buy__words" role="status">{{ list.words }}</p>
    <ul>
      <li v-for="row in list?.rows" :key="row.what + row.why">
        <label>
          <input type="checkbox" />
          <span
            ><b>{{ row.what }}</b> <span class="quiet">{{ row.why }}</span></span
          >
        </label>
      </li>
    </ul>
    <DaysAhead />
  </section>
</template>

<style scoped>
.buy__for {
  margin: 4px 0 10px;
}

.buy__words {
  font-weight: 640;
}

ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

li {
  border-top: 1px solid var(--hair);
}

label {
  display: flex;
  align-items: baseline;
  gap: 10px;
  padding: 7px 0;
}

label b {
  margin-right: 10px;
}

li:has(:checked) span {
  text-decoration: line-through;
}

@media print {
  .do,
  .buy__for {
    display: none;
  }
}
</style>
