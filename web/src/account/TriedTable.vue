<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { momentText } from '@/widgets/dayText'

/** What was tried at a log-in, the newest first. */
defineProps<{ notes: readonly Schemas['LoginNote'][]; whose?: boolean }>()
</script>

<template>
  <div class="scroll">
    <table class="ruled">
      <thead>
        <tr>
          <th>When</th>
          <th v-if="whose">Whose</th>
          <th>What</th>
          <th>Device</th>
          <th>Network</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, number) in notes" :key="number" :class="{ no: /refused/.test(one.what) }">
          <td>{{ momentText(one.at) }}</td>
          <td v-if="whose">{{ one.name || 'nobody’s' }}</td>
          <td>{{ one.what }}</td>
          <td>{{ one.device }}</td>
          <td class="network">{{ one.place }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
}

td {
  white-space: nowrap;
}

.no td {
  color: var(--doubt);
}

.network {
  font-family: var(--figures);
}
</style>
