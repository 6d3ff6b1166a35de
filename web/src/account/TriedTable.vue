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
        <tr
          v-for="(note, number) in notes"
          :key="number"
          :class="{ no: /refused/.test(note.what) }"
        >
          <td>{{ momentText(note.at) }}</td>
          <td v-if="whose">{{ note.name || 'nobody’s' }}</td>
          <td>{{ note.what }}</td>
          <td>{{ note.device }}</td>
          <td class="network">{{ note.place }}</td>
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
