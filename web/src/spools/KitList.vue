<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { soughtIn } from '@/widgets/soughtIn'
import { useShelfForm } from './useShelfForm'

/** Rods, lines and flies: each corrected by the line that says it, doubled, or taken out. */
const props = defineProps<{ sought: string }>()
const settings = useSettings()
const GROUPS = [
  { kind: 'rod', title: 'Rods' },
  { kind: 'line', title: 'Lines' },
  { kind: 'fly', title: 'Flies' },
] as const
type Row = Schemas['KitRow']

const { data: rows } = useQuery({
  queryKey: ['owned-kit', computed(() => settings.units)],
  queryFn: () =>
    answered(api.GET('/api/v1/owned/kit', { params: { query: { units: settings.units } } })),
})
const shown = computed(() =>
  (rows.value ?? []).filter((row) =>
    soughtIn(props.sought, `${row.title} ${row.words} ${row.known}`),
  ),
)
const editing = ref<{ id: string; text: string; instead: string | null } | null>(null)
const { refused, attempt } = useShelfForm(() => (editing.value = null))

async function edit(row: Row, another: boolean) {
  refused.value = ''
  editing.value = {
    id: row.tackle_id,
    text: another ? (row.text ?? '').replace(/“[^”]*” /, '') : (row.text ?? ''),
    instead: another ? null : row.tackle_id,
  }
  await nextTick()
  document.getElementById('kit-line')?.focus()
}

const keep = () =>
  attempt(() => {
    const { text, instead } = editing.value!
    return answered(api.POST('/api/v1/owned', { body: { text, instead, units: settings.units } }))
  })
const takeOut = (tackle_id: string) =>
  attempt(() =>
    answered(api.DELETE('/api/v1/owned/kit/{tackle_id}', { params: { path: { tackle_id } } })),
  )
</script>

<template>
  <section v-for="group in GROUPS" :key="group.kind" class="kit">
    <h2>{{ group.title }}</h2>
    <p v-if="rows && !rows.some((row) => row.kind === group.kind)" class="quiet">
      None yet: type one above.
    </p>
    <p v-else-if="rows && !shown.some((row) => row.kind === group.kind)" class="quiet">
      None matches.
    </p>
    <ul>
      <li v-for="row in shown.filter((item) => item.kind === group.kind)" :key="row.tackle_id">
        <form v-if="editing?.id === row.tackle_id" class="kit__edit" @submit.prevent="keep">
          <input
            id="kit-line"
            v-model="editing.text"
            class="figure"
            :aria-label="editing.instead ? `${row.title}, as text` : 'Add another, as text'"
            @keydown.esc="editing = null"
          />
          <button class="do do--main" type="submit">Keep</button>
          <button class="do" type="button" @click="editing = null">Cancel</button>
          <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
        </form>
        <template v-else>
          <span
            ><b>{{ row.title }}</b>
            <span class="quiet"
              >{{ row.words }}
              {{ row.known || (row.text ? '' : 'more is known of it than a line says') }}</span
            ></span
          >
          <span class="kit__acts">
            <RouterLink
              v-if="row.kind !== 'rod'"
              class="link"
              :to="{ path: '/spools/measure', query: { [row.kind]: row.tackle_id } }"
              >measure<span class="unseen"> {{ row.title }}</span></RouterLink
            >
            <button
              v-if="row.text"
              class="link"
              type="button"
              :aria-label="`Change ${row.title}`"
              @click="edit(row, false)"
            >
              change
            </button>
            <button
              v-if="row.text"
              class="link"
              type="button"
              :aria-label="`Add a similar one: ${row.title}`"
              @click="edit(row, true)"
            >
              add a similar one
            </button>
            <button
              class="link"
              type="button"
              :aria-label="`Take out ${row.title}`"
              @click="takeOut(row.tackle_id)"
            >
              take out
            </button>
          </span>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.kit {
  margin-top: 22px;
}

.kit ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.kit li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 14px;
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}

.kit li .quiet {
  margin-left: 8px;
}

.kit__acts {
  display: flex;
  gap: 14px;
  font-size: var(--small);
}

.kit__edit {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 6px;
}

.kit__edit input {
  flex: 1;
  min-width: 240px;
}
</style>
