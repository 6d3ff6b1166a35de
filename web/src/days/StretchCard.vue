<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import { usePlaceActs, type StretchReading } from './usePlaces'

/** One stretch: usual and today, what was noted at levels (none by the sea), on to the bench. */
const props = defineProps<{
  row: StretchReading
  placeId: string
  level: string
  byTide: boolean
}>()
const emit = defineEmits<{ edit: [] }>()
const settings = useSettings()
const bench = useBench()
const router = useRouter()
const acts = usePlaceActs(() => props.placeId)
const noting = ref(false)
const { refused, attempt: tryIt } = useRefusal()
const form = ref({ level: '', depth: '', pace: '' })

function begin() {
  refused.value = ''
  form.value = { level: props.level, depth: '', pace: '' }
  noting.value = true
}
async function note() {
  noting.value = !(await tryIt(() => acts.noteLevel(props.row.stretch_id, form.value)))
}
const drop = (number: number) => attempt(() => acts.dropLevel(props.row.stretch_id, number))

const fish = () =>
  attempt(async () => {
    if (!bench.design) {
      notify('The bench is empty. Put a leader on it first, from the shelf.', 'trouble')
      return
    }
    bench.alter([], { water: props.row.water })
    await router.push('/')
  })
</script>

<template>
  <article class="stretch" :aria-label="row.title">
    <header class="row">
      <h3 class="grow">{{ row.title }}</h3>
      <button class="do" type="button" :aria-label="`To the bench: ${row.title}`" @click="fish">
        To the bench
      </button>
      <button class="link" type="button" :aria-label="`Change ${row.title}`" @click="emit('edit')">
        change
      </button>
    </header>
    <p v-if="row.now" class="now">{{ row.now }}</p>
    <p v-if="row.beyond" class="poor">{{ row.beyond }}</p>
    <p :class="{ quiet: !!row.now }">{{ row.usual }}</p>
    <p class="quiet">
      {{ row.facts.join('. ') }}. {{ row.rules && `Its own rules: ${row.rules}` }}
    </p>
    <p v-for="caution in row.cautions" :key="caution" class="caution">{{ caution }}</p>
    <ul v-if="row.notes.length" class="notes" :aria-label="`Notes of ${row.title}`">
      <li v-for="(event, number) in row.notes" :key="number">
        {{ event.words }}
        <button
          class="link"
          type="button"
          :aria-label="`Undo: ${event.words}`"
          @click="drop(number)"
        >
          undo
        </button>
      </li>
    </ul>
    <form v-if="noting" class="row" @submit.prevent="note">
      <input
        v-model="form.level"
        class="pick figure note"
        aria-label="At the level"
        :placeholder="settings.units === 'metric' ? '0.62 m' : '2.03 ft'"
      />
      <input
        v-model="form.depth"
        class="pick note"
        aria-label="it is deep"
        placeholder="waist-deep"
      />
      <input
        v-model="form.pace"
        class="pick note note--wide"
        aria-label="speed, if you know it"
        placeholder="walking pace; 8 s for 10 steps"
      />
      <button class="do do--main" type="submit">Add note</button>
      <button class="do" type="button" @click="noting = false">Cancel</button>
    </form>
    <button v-else-if="!byTide" class="link" type="button" @click="begin">
      add a note at a level<span class="unseen">: {{ row.title }}</span>
    </button>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
  </article>
</template>

<style scoped>
.stretch {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  padding: 12px 0;
  border-top: 1px solid var(--hair);
}

.stretch > .link {
  justify-self: start;
  font-size: var(--small);
}

.now {
  font-weight: 620;
}

.caution {
  padding-left: 10px;
  border-left: 4px solid var(--doubt);
  font-size: 14px;
}

.notes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin: 0;
  padding: 0;
  color: var(--ink-2);
  font-size: var(--small);
  list-style: none;
}

.note {
  width: 120px;
}

.note--wide {
  width: 220px;
}
</style>
