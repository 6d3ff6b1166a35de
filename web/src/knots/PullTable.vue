<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/api/client'

/** A page of pull tests; an odd one is questioned, and set aside or kept by the angler. */
const props = defineProps<{
  tests: Schemas['PullLine'][]
  page: { first: number; last: number; total: number }
  busy: boolean
}>()
const emit = defineEmits<{
  aside: [test_ids: string[], set_aside: boolean]
  forget: [test_ids: string[]]
  turn: [pages: number]
}>()
const SOURCES = { typed: 'by hand', scale: 'from the scale', file: 'from a file' }
const chosen = ref<string[]>([])
const sure = ref(false)
const all = computed({
  get: () => props.tests.length > 0 && chosen.value.length === props.tests.length,
  set: (every) => (chosen.value = every ? props.tests.map((test) => test.test_id) : []),
})
const many = computed(() =>
  chosen.value.length === 1 ? 'one pull' : `${chosen.value.length} pulls`,
)

watch(
  () => props.tests,
  (tests) => {
    chosen.value = chosen.value.filter((id) => tests.some((test) => test.test_id === id))
  },
)
watch(chosen, () => (sure.value = false))

function forget() {
  if (sure.value) emit('forget', chosen.value)
  sure.value = !sure.value
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">
          <input v-model="all" type="checkbox" aria-label="Choose all on this page" />
        </th>
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
        <td>
          <input
            v-model="chosen"
            type="checkbox"
            :value="test.test_id"
            :aria-label="`Choose the pull of ${test.broke}`"
          />
        </td>
        <td class="figure">{{ withDays(test.day) }}</td>
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
            :aria-label="`${test.set_aside ? 'Include' : 'Exclude'} the pull of ${test.broke}`"
            @click="emit('aside', [test.test_id], !test.set_aside)"
          >
            {{ test.set_aside ? 'Excluded. Include it' : 'Exclude' }}
          </button>
        </td>
      </tr>
    </tbody>
  </table>
  <div class="row foot">
    <template v-if="chosen.length">
      <span>{{ many }} chosen:</span>
      <button class="do" type="button" :disabled="busy" @click="emit('aside', chosen, true)">
        Exclude
      </button>
      <button class="do" type="button" :disabled="busy" @click="emit('aside', chosen, false)">
        Include
      </button>
      <button class="do" type="button" :disabled="busy" @click="forget">
        {{ sure ? `Yes, delete ${many} for good` : 'Delete …' }}
      </button>
    </template>
    <span class="grow" />
    <template v-if="page.total > tests.length">
      <button class="do" type="button" :disabled="page.first <= 1" @click="emit('turn', -1)">
        Newer
      </button>
      <span class="quiet figure">{{ page.first }} to {{ page.last }} of {{ page.total }}</span>
      <button class="do" type="button" :disabled="page.last >= page.total" @click="emit('turn', 1)">
        Older
      </button>
    </template>
  </div>
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

.foot {
  position: sticky;
  bottom: 0;
  flex-wrap: wrap;
  padding: 6px 0;
  background: var(--ground);
}

input[type='checkbox'] {
  width: 18px;
  height: 18px;
}

.aside td:not(:first-child, :last-child) {
  color: var(--ink-2);
  text-decoration: line-through;
}

.odd {
  padding: 1px 6px;
  border-left: 3px solid var(--doubt);
  background: var(--doubt-soft);
}
</style>
