<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/api/client'
import { useStock } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import StockPick from '@/widgets/StockPick.vue'
import BeliefPicture from './BeliefPicture.vue'
import PullTable from './PullTable.vue'
import { usePulls, type Mischief } from './usePulls'

/** Pull tests of one knot: noted, read from the scale, drawn against what was believed. */
const props = defineProps<{ knot: Schemas['KnotCard']['key'] }>()
const { pulls, page, turn, read, busy, trouble, note, readScale, setAside, forget, take, write } =
  usePulls(() => props.knot)
const settings = useSettings()
const { data: stock } = useStock()
const spools = computed(() => (stock.value ?? []).filter((row) => row.form === 'spool'))
const spool = ref('')
const wet = ref(true)
const broke = ref('')
const mischief = ref<Mischief | 'real'>('none')
const picker = ref<HTMLInputElement>()
const address = ref('')
const REAL = 'real'
const MISCHIEF: { value: Mischief | typeof REAL; words: string }[] = [
  { value: 'none', words: 'the simulated scale' },
  { value: 'silent', words: '… stops sending' },
  { value: 'rubbish', words: '… sends garbage' },
  { value: 'unplugged', words: '… unplugged' },
  { value: REAL, words: 'your scale at …' },
]
const WET = [option(true, 'soaked'), option(false, 'dry')]
const mine = computed(() => pulls.value?.tests ?? [])
const beliefs = computed(() => pulls.value?.beliefs ?? [])
watch(
  spools,
  (rows) => {
    if (!spool.value && rows[0]) spool.value = rows[0].spool_id
  },
  { immediate: true },
)

async function keep() {
  const body = { knot: props.knot, spool_id: spool.value, wet: wet.value, broke: broke.value }
  if (await note(body)) broke.value = ''
}
function pull() {
  void readScale({
    knot: props.knot,
    spool_id: spool.value,
    wet: wet.value,
    address: mischief.value === REAL ? address.value.trim() : '',
    mischief: mischief.value === REAL ? 'none' : mischief.value,
  })
}
function chosen(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) void take(file)
  field.value = ''
}
</script>

<template>
  <section class="pulls" aria-labelledby="pulls-title">
    <div class="row">
      <h2 id="pulls-title" class="grow">Pull tests of your own</h2>
      <button class="do" type="button" @click="write">All as CSV</button>
      <button class="do" type="button" @click="picker?.click()">Import a CSV …</button>
      <input
        ref="picker"
        type="file"
        accept=".csv,text/csv"
        class="unseen"
        aria-label="CSV of pull tests"
        @change="chosen"
      />
    </div>
    <form class="row pulls__form" @submit.prevent="keep">
      <label class="quiet">
        In
        <StockPick v-model="spool" label="The spool used" :rows="spools" />
      </label>
      <label class="quiet">
        <PickOne v-model="wet" label="How the line was" :options="WET" />
      </label>
      <label class="quiet">
        it broke at
        <input
          v-model="broke"
          class="pick pulls__broke figure"
          :placeholder="settings.units === 'metric' ? '1.9 kg' : '4.2 lb'"
        />
      </label>
      <button class="do" type="submit" :disabled="busy || !spool || !broke.trim()">Add note</button>
      <span class="quiet">or read</span>
      <PickOne v-model="mischief" label="Scale" :options="MISCHIEF" />
      <input
        v-if="mischief === REAL"
        v-model="address"
        class="pick figure"
        aria-label="The scale's port"
        placeholder="/dev/ttyUSB0"
      />
      <button
        class="do do--main"
        type="button"
        :disabled="busy || !spool || (mischief === REAL && !address.trim())"
        @click="pull"
      >
        {{ busy ? 'Pulling …' : 'Pull and read' }}
      </button>
    </form>
    <p v-if="trouble" class="refusal" role="alert">{{ trouble }}</p>
    <p v-else-if="read" role="status">
      Scale reading <strong>{{ read }}</strong>.
    </p>
    <div v-for="belief in beliefs" :key="belief.family" class="pulls__belief">
      <h3>In {{ belief.family }}</h3>
      <BeliefPicture
        :belief="belief"
        :tests="mine.filter((test) => test.family === belief.family)"
      />
      <p>{{ belief.words }}</p>
    </div>
    <PullTable
      v-if="mine.length"
      :tests="mine"
      :page="page"
      :busy="busy"
      @aside="setAside"
      @forget="forget"
      @turn="turn"
    />
    <p v-else class="quiet">
      Tie five, break them on a scale, and record each. Dashed is the table's value, solid is yours;
      your leaders then use your own knot strengths. Stand clear: a broken line recoils. Wear eye
      protection.
    </p>
  </section>
</template>

<style scoped>
.pulls {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding-top: 14px;
  border-top: 1px solid var(--hair);
}

.pulls__form {
  flex-wrap: wrap;
  row-gap: 6px;
}

label {
  display: flex;
  align-items: center;
  gap: 6px;
}

.pick {
  width: auto;
  max-width: 240px;
}

.pulls__broke {
  width: 92px;
}

.pulls__belief h3 {
  font-size: 15px;
}
</style>
