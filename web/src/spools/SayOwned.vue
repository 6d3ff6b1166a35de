<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import { useShelfForm } from './useShelfForm'

/** One box for all that is owned: typed as it is said, read line by line, kept together. */
defineProps<{
  /** Whether nothing is owned yet. */
  begins: boolean
}>()
const emit = defineEmits<{ left: [any: boolean] }>()
const settings = useSettings()
const text = ref('')
const { refused, attempt } = useShelfForm(() => (text.value = left.value))
const done = ref('')
const busy = ref(false)
const once = useIntent()
const KINDS = { spool: 'spool', packet: 'tapers', rod: 'rod', line: 'line', fly: 'fly' } as const
const EXAMPLE = '5X fluoro 30 m\n9 ft 4X tapered, 3 left\n9 ft 5 wt, medium\nsize 14 bushy dry'

const { data: starters } = useQuery({
  queryKey: ['starters'],
  queryFn: () => answered(api.GET('/api/v1/owned/starters')),
  staleTime: Infinity,
})
const { answer: rows, refused: unread } = useAnswer(
  () => (text.value.trim() ? { text: text.value, units: settings.units } : null),
  (body, { signal }) => answered(api.POST('/api/v1/owned/read', { body, signal })),
  { quiet: 200, keep: true },
)
const shown = computed(() => (text.value.trim() ? (rows.value ?? []) : []))
const odd = computed(() => shown.value.filter((row) => !row.kind).length)
const understood = computed(() => shown.value.length - odd.value)
watch(text, (now) => now.trim() || emit('left', false))
/** What is not understood stays in the box. */
const left = ref('')
const textOf = (rows: typeof shown.value) => rows.map((row) => row.text).join('\n')

function begin(starter: Schemas['StarterShelf']) {
  done.value = ''
  text.value = [text.value.trim(), starter.text].filter(Boolean).join('\n')
}

async function keep() {
  done.value = ''
  busy.value = true
  left.value = textOf(shown.value.filter((row) => !row.kind))
  emit('left', left.value !== '')
  await attempt(async () => {
    const owned = textOf(shown.value.filter((row) => row.kind))
    const body = { text: owned, units: settings.units }
    const kept = await once(body, (header) =>
      answered(api.POST('/api/v1/owned', { params: { header }, body })),
    )
    done.value = kept.words
  })
  busy.value = false
}
</script>

<template>
  <form class="say" aria-labelledby="say-owned" @submit.prevent="keep">
    <h2 id="say-owned">Type what you own, in your own words</h2>
    <p class="quiet">
      One item per line: spools, tapers, rods, lines, flies. You can paste a list or a table.
    </p>
    <details v-if="starters?.length" :open="begins">
      <summary>Start with a typical shelf, and remove what you don’t own</summary>
      <div class="row say__starters">
        <button
          v-for="starter in starters"
          :key="starter.key"
          type="button"
          class="do"
          @click="begin(starter)"
        >
          {{ starter.title }}
        </button>
      </div>
    </details>
    <div class="say__both" :class="{ 'say__both--read': shown.length }">
      <textarea
        v-model="text"
        class="figure"
        :rows="Math.max(begins ? 4 : 2, Math.min(20, text.split('\n').length + 1))"
        :placeholder="begins ? EXAMPLE : '5X fluoro 30 m'"
        aria-label="What you own, one item per line"
        spellcheck="false"
      />
      <ol v-if="shown.length" class="say__rows" aria-label="How it is read">
        <li v-for="row in shown" :key="row.number" :class="{ odd: !row.kind }">
          <span class="say__number figure">{{ row.number }}</span>
          <span v-if="row.kind">
            <b>{{ row.title }}</b> <small>{{ KINDS[row.kind] }}</small> {{ row.said.join(', ')
            }}<template v-if="row.presumed.length">; </template>
            <em v-if="row.presumed.length">assumed: {{ row.presumed.join(', ') }}</em>
          </span>
          <span v-else role="note"
            ><b>{{ row.what }}</b> {{ row.hint }}</span
          >
        </li>
      </ol>
    </div>
    <p v-if="refused || unread" class="refusal" role="alert">{{ refused || unread }}</p>
    <p v-else-if="done" role="status">{{ done }}</p>
    <div class="row">
      <button class="do do--main" type="submit" :disabled="busy || !understood">
        {{ odd && understood ? `Put ${understood} on the shelf` : 'Put on the shelf' }}
      </button>
      <span class="quiet" role="status">
        <template v-if="!text.trim()">Nothing typed yet.</template>
        <template v-else-if="odd"
          >{{ odd }} {{ odd === 1 ? 'line is' : 'lines are' }} not understood and
          {{ odd === 1 ? 'stays' : 'stay' }} here until you correct or remove
          {{ odd === 1 ? 'it' : 'them' }}.</template
        >
        <template v-else-if="shown.length"
          >All {{ shown.length }} understood. You can type assumed values into the line.</template
        >
      </span>
    </div>
  </form>
</template>

<style scoped>
.say {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin: 12px 0 18px;
  padding: 14px 16px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
}

.say__starters {
  margin-top: 8px;
  gap: 6px;
  flex-wrap: wrap;
}

.say__both {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}

.say__both--read {
  grid-template-columns: minmax(260px, 2fr) minmax(0, 3fr);
}

textarea {
  width: 100%;
  line-height: 1.5;
  resize: vertical;
}

.say__rows {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 5px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: var(--small);
  line-height: 1.35;
}

.say__rows li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
}

.say__number,
.say__rows small {
  color: var(--ink-2);
}

.say__rows em {
  color: var(--ink-2);
}

.odd {
  color: var(--much);
}

@media (max-width: 820px) {
  .say__both--read {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
