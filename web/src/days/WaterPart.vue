<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { inWords } from '@/api/problems'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import { useGiving } from '@/shared/useGiving'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import GaugeDialog from './GaugeDialog.vue'
import RulesDialog from './RulesDialog.vue'
import StretchCard from './StretchCard.vue'
import StretchDialog from './StretchDialog.vue'
import { useLight, usePlace, usePlaceActs, type StretchReading, type TideTyped } from './usePlaces'

/** One water at today's level: typed, or read off its gauge. */
const props = defineProps<{ placeId: string }>()
const emit = defineEmits<{ gone: [] }>()
const QUIET_MS = 250
const settings = useSettings()
const giving = useGiving()
const levels = useAnglerStorage<Record<string, string>>('levels', {})
const level = computed({
  get: () => levels.value[props.placeId] ?? '',
  set: (text) => (levels.value = { ...levels.value, [props.placeId]: text }),
})
const asked = refDebounced(level, QUIET_MS)
const tides = useAnglerStorage<Record<string, TideTyped>>('tides', {})
const tide = computed(() => tides.value[props.placeId] ?? { high: '', low: '', at: '' })
/** As it is being typed: kept, and asked for, when a field is left. */
const typed = reactive({ ...tide.value })
const keepTide = () => (tides.value = { ...tides.value, [props.placeId]: { ...typed } })
const { water, error } = usePlace(
  () => props.placeId,
  () => asked.value,
  () => tide.value,
)
const { data: light } = useLight(
  () => props.placeId,
  () => water.value?.place.latitude !== null && water.value !== undefined,
)
const acts = usePlaceActs(() => props.placeId)
const TIDES = [
  { key: 'high', words: 'High water' },
  { key: 'low', words: 'Low water' },
  { key: 'at', words: 'at' },
] as const
const gaugeSays = ref('')
const reading = ref(false)
const editing = ref<{ row: StretchReading | null } | null>(null)
const gauging = ref(false)
const ruling = ref(false)

async function readGauge() {
  reading.value = true
  gaugeSays.value = ''
  try {
    const told = await acts.readGauge()
    gaugeSays.value = told.words
    if (told.status === 'fresh') level.value = told.level
  } catch (trouble) {
    gaugeSays.value = inWords(trouble)
  } finally {
    reading.value = false
  }
}
const forget = () =>
  attempt(async () => {
    const title = water.value?.title
    await acts.forget()
    notify(`“${title}” is deleted, with its stretches.`)
    emit('gone')
  })
</script>

<template>
  <section v-if="water" class="water" :aria-label="water.title">
    <header class="row">
      <h2 class="grow">{{ water.title }}</h2>
      <button class="do" type="button" @click="editing = { row: null }">Add a stretch</button>
      <button class="do do--plain" type="button" @click="ruling = true">Rules and place</button>
      <button
        class="do do--plain"
        type="button"
        @click="giving.give('water', placeId, water.title)"
      >
        Share it
      </button>
      <button class="do do--plain" type="button" @click="forget">Delete this water</button>
    </header>
    <p class="quiet">{{ water.rules }} {{ water.place.notes }}</p>
    <p v-if="light" class="quiet">{{ light.words }}</p>
    <form v-if="water.kind === 'sea'" class="row level" @submit.prevent>
      <label v-for="state in TIDES" :key="state.key" class="row">
        {{ state.words }}
        <input
          v-model="typed[state.key]"
          class="pick figure level__time"
          placeholder="06:10"
          @change="keepTide"
        />
      </label>
    </form>
    <p v-if="water.tide" class="level__says" role="status">{{ water.tide }}</p>
    <div v-else-if="water.kind !== 'sea'" class="row level">
      <label class="row">
        Today’s level
        <input
          v-model="level"
          class="pick figure level__field"
          :placeholder="settings.units === 'metric' ? '0.62 m' : '2.03 ft'"
        />
      </label>
      <template v-if="water.place.gauge">
        <button class="do" type="button" :disabled="reading" @click="readGauge">
          {{ reading ? 'Reading …' : 'Read the gauge' }}
        </button>
        <span class="quiet">{{ water.place.gauge.title }}</span>
      </template>
      <button class="link" type="button" @click="gauging = true">
        {{ water.place.gauge ? 'change the gauge' : 'choose a gauge' }}
      </button>
    </div>
    <p v-if="error" class="refusal" role="alert">{{ inWords(error) }}</p>
    <p v-else-if="gaugeSays" class="level__says" role="status">{{ gaugeSays }}</p>
    <p v-else-if="!level.trim() && !water.tide" class="quiet level__says">
      {{
        water.kind === 'sea'
          ? 'Enter today’s high and low water and a time to get the current between them.'
          : 'Without a level, every stretch is shown with its usual figures.'
      }}
    </p>
    <p v-if="!water.stretches.length" class="quiet">
      No stretch yet. Add the first: how deep and how fast it usually is will do.
    </p>
    <StretchCard
      v-for="row in water.stretches"
      :key="row.stretch_id"
      :row="row"
      :place-id="placeId"
      :level="level"
      :by-tide="water.kind === 'sea'"
      @edit="editing = { row }"
    />
    <StretchDialog v-if="editing" :place-id="placeId" :row="editing.row" @close="editing = null" />
    <GaugeDialog v-if="gauging" :place-id="placeId" @close="gauging = false" />
    <RulesDialog v-if="ruling" :place-id="placeId" :water="water" @close="ruling = false" />
  </section>
</template>

<style scoped>
.level {
  margin: 12px 0 6px;
  gap: 8px 14px;
}

.level__field {
  width: 110px;
}

.level__time {
  width: 76px;
}

.level__says {
  margin-bottom: 6px;
}
</style>
