<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** What was tried at a log-in, the newest first. */
defineProps<{ notes: readonly Schemas['NoteRow'][]; whose?: boolean }>()
const when = (iso: string) =>
  new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <div class="scroll">
    <table>
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
          <td>{{ when(one.at) }}</td>
          <td v-if="whose">{{ one.name || 'nobody’s' }}</td>
          <td>{{ one.what }}</td>
          <td>{{ one.device }}</td>
          <td class="network">{{ one.place }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.scroll {
  overflow-x: auto;
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
