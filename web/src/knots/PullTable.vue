<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** Pull tests in rows; an odd one is questioned, and set aside or kept by the angler. */
defineProps<{ tests: Schemas['PullLine'][]; busy: boolean }>()
const emit = defineEmits<{ aside: [test_id: string, set_aside: boolean] }>()
const SOURCES = { typed: 'by hand', scale: 'from the scale', file: 'from a file' }
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">Day</th>
        <th scope="col">Line</th>
        <th scope="col">Broke at</th>
        <th scope="col">Kept</th>
        <th scope="col">Read</th>
        <th scope="col">Counts</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="test in tests" :key="test.test_id" :class="{ aside: test.set_aside }">
        <td class="figure">{{ test.day }}</td>
        <td>{{ test.line }}</td>
        <td class="figure">{{ test.broke }}</td>
        <td class="figure">{{ test.kept }}</td>
        <td>{{ SOURCES[test.source] }}</td>
        <td>
          <span v-if="test.odd && !test.set_aside" class="odd" role="note">
            Far from the others: a slip, or a misreading?
          </span>
          <button
            class="do do--plain"
            type="button"
            :disabled="busy"
            :aria-label="`${test.set_aside ? 'Count again' : 'Set aside'} the pull of ${test.broke}`"
            @click="emit('aside', test.test_id, !test.set_aside)"
          >
            {{ test.set_aside ? 'Set aside. Count it again' : 'Set aside' }}
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--small);
  text-align: left;
}

th {
  color: var(--ink-2);
  font-weight: 500;
}

th,
td {
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid var(--hair);
}

.aside td:not(:last-child) {
  color: var(--ink-2);
  text-decoration: line-through;
}

.odd {
  padding: 1px 6px;
  border-left: 3px solid var(--doubt);
  background: var(--doubt-soft);
}
</style>
