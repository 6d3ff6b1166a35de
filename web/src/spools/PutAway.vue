<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useShelfForm } from './useShelfForm'

/** What was taken off the shelf or out of the kit: known to old leaders, and put back from here. */
const settings = useSettings()
const query = computed(() => ({ units: settings.units, retired: true }))
const { data: rows } = useQuery({
  queryKey: ['put-away', query],
  queryFn: async () => {
    const params = { query: query.value }
    const [stock, kit] = await Promise.all([
      answered(api.GET('/api/v1/stock', { params })),
      answered(api.GET('/api/v1/owned/kit', { params })),
    ])
    return [
      ...stock.map((row) => ({ id: row.spool_id, title: row.title, left: row.left, spool: true })),
      ...kit.map((row) => ({ id: row.tackle_id, title: row.title, left: '', spool: false })),
    ]
  },
})
const { refused, attempt } = useShelfForm(() => {})

const putBack = (row: { id: string; spool: boolean }) =>
  attempt(() =>
    row.spool
      ? answered(
          api.POST('/api/v1/stock/{spool_id}/restore', { params: { path: { spool_id: row.id } } }),
        )
      : answered(
          api.POST('/api/v1/owned/kit/{tackle_id}/restore', {
            params: { path: { tackle_id: row.id } },
          }),
        ),
  )
</script>

<template>
  <details v-if="rows?.length" class="away">
    <summary>Put away: {{ rows.length }}, still used by saved leaders</summary>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <ul>
      <li v-for="row in rows" :key="row.id">
        <span
          >{{ row.title }} <span class="quiet figure">{{ row.left }}</span></span
        >
        <button
          class="link"
          type="button"
          :aria-label="`Put back ${row.title}`"
          @click="putBack(row)"
        >
          put back
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.away {
  margin-top: 26px;
}

summary {
  cursor: pointer;
}

ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}
</style>
