<script setup lang="ts">
import type { Schemas } from '@/api/client'

defineProps<{ rows: Schemas['CutRow'][] }>()
</script>

<template>
  <table class="cuts">
    <thead>
      <tr>
        <th scope="col">#</th>
        <th scope="col">Cut</th>
        <th scope="col">Of</th>
        <th scope="col">Spool</th>
        <th scope="col">Between knots</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="row in rows" :key="row.piece">
        <tr>
          <th scope="row" class="figure">{{ row.piece + 1 }}</th>
          <td class="figure cuts__cut">{{ row.cut.text }}</td>
          <td class="figure">{{ row.diameter }}</td>
          <td>{{ row.stock }}</td>
          <td class="figure">{{ row.wanted.text }}</td>
        </tr>
        <tr v-if="row.spans" class="cuts__note">
          <td></td>
          <td colspan="4">By arm: {{ row.spans }}</td>
        </tr>
        <tr v-if="row.note" class="cuts__note">
          <td></td>
          <td colspan="4">{{ row.note }}</td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
.cuts {
  width: 100%;
  margin-top: 8px;
  border-collapse: collapse;
}

th,
td {
  padding: 5px 10px 5px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  vertical-align: baseline;
}

thead th {
  color: var(--ink-2);
  font-size: var(--small);
  font-weight: 500;
}

td.figure:last-child {
  white-space: nowrap;
}

.cuts__cut {
  font-size: 1.15em;
  font-weight: 700;
  white-space: nowrap;
}

@media (max-width: 820px) {
  thead {
    display: none;
  }

  tr {
    display: grid;
    grid-template-columns: 28px minmax(0, 1fr) auto;
    padding: 6px 0;
    border-bottom: 1px solid var(--hair);
  }

  th,
  td {
    padding: 0 10px 0 0;
    border: 0;
  }

  tr > :nth-child(4) {
    grid-column: 2;
  }

  tr > :nth-child(5)::before {
    color: var(--ink-2);
    font-family: var(--text);
    content: 'tied ';
  }

  .cuts__note td:last-child {
    grid-column: 2 / -1;
  }
}

.cuts__note td {
  color: var(--ink-2);
  font-size: 0.92em;
}
</style>
