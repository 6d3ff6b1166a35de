<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Kit, Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import { usePlace } from '../usePlaces'
import PlanStops from './PlanStops.vue'
import type { PlanForm } from './usePlans'

/** What is asked of a day: water, weather, fish, what is carried, and the stretches in order. */
const props = defineProps<{ form: PlanForm; kit: Kit; places: Schemas['PlaceCard'][] }>()
const emit = defineEmits<{ addStop: [stretchId: string] }>()
const settings = useSettings()
const { data: catalogue } = useCatalogue()
const plan = computed(() => props.form)
const NO_TIDE = { high: '', low: '', at: '' }
const { water } = usePlace(
  () => props.form.place_id,
  () => '',
  () => NO_TIDE,
)
const sea = computed(() => water.value?.kind === 'sea')
const places = computed(() => props.places.map((place) => option(place.place_id, place.title)))
const stretches = computed(() =>
  (water.value?.stretches ?? []).map((stretch) => option(stretch.stretch_id, stretch.title)),
)
watch(stretches, (known) => {
  // a stretch that was taken off the water since can’t be fished
  const gone = plan.value.stops.filter(
    (stop) => known.length && !known.some((item) => item.value === stop.stretch_id),
  )
  for (const stop of gone) plan.value.stops.splice(plan.value.stops.indexOf(stop), 1)
})
const plain = <T extends string>(row: readonly T[] | undefined) =>
  (row ?? []).map((item) => option(item, item))
const titles = (row: { title: string }[]) => row.map((item) => option(item.title, item.title))
const fish = computed(() =>
  (catalogue.value?.fish ?? []).map((item) => option(item.key as PlanForm['fish'], item.title)),
)
const flies = computed(() => [
  option(-1, 'whichever serves'),
  ...plan.value.flies.map((fly, at) => option(at, `${fly.fly}: ${fly.wish}`)),
])
const MOST = { outfits: 3, flies: 6 }

function anotherWater(placeId: string | undefined) {
  plan.value.place_id = placeId ?? ''
  plan.value.stops.splice(0)
}
function addStop() {
  const last = plan.value.stops.at(-1)?.stretch_id
  const at = stretches.value.findIndex((stretch) => stretch.value === last)
  const following = stretches.value[at + 1] ?? stretches.value[0]
  if (following) emit('addStop', following.value)
}
function dropFly(at: number) {
  plan.value.flies.splice(at, 1)
  for (const stop of plan.value.stops) {
    if (stop.fly === at) stop.fly = null
    else if (stop.fly !== null && stop.fly !== undefined && stop.fly > at) stop.fly -= 1
  }
}
</script>

<template>
  <form class="edit" aria-label="The day to plan" @submit.prevent>
    <div class="line">
      <label>Name <input v-model="plan.title" class="pick" maxlength="60" /></label>
      <label>The day <input v-model="plan.on" class="pick figure" type="date" /></label>
      <label>
        Water
        <PickOne
          :model-value="plan.place_id"
          :options="places"
          @update:model-value="anotherWater"
        />
      </label>
      <template v-if="sea">
        <label
          >High water <input v-model="plan.high" class="pick figure" placeholder="06:10"
        /></label>
        <label
          >Low water <input v-model="plan.low" class="pick figure" placeholder="12:20"
        /></label>
      </template>
      <label v-else>
        Level expected
        <input
          v-model="plan.level"
          class="pick figure"
          :placeholder="settings.units === 'metric' ? 'as usual; 0.62 m' : 'as usual; 2.03 ft'"
        />
      </label>
      <label>Wind <input v-model="plan.wind" class="pick" placeholder="light breeze" /></label>
      <label>
        blowing
        <PickOne v-model="plan.bearing!" :options="plain(catalogue?.bearings)" />
      </label>
      <label>
        Water temperature
        <input
          v-model="plan.temperature"
          class="pick figure"
          :placeholder="settings.units === 'metric' ? '10 °C' : '50 °F'"
        />
      </label>
      <label>Fish <PickOne v-model="plan.fish!" :options="fish" /></label>
      <label>
        Largest fish
        <input v-model="plan.mass" class="pick figure" placeholder="its usual weight" />
      </label>
      <label
        >How wary <PickOne v-model="plan.temper!" :options="plain(catalogue?.tempers)"
      /></label>
    </div>
    <fieldset>
      <legend>Carried</legend>
      <p v-for="(outfit, at) in plan.outfits" :key="at" class="row">
        <PickOne v-model="outfit.rod" :label="`Rod ${at + 1}`" :options="titles(kit.rods)" />
        <PickOne
          v-model="outfit.line"
          :label="`Line on rod ${at + 1}`"
          :options="titles(kit.lines)"
        />
        <button
          v-if="plan.outfits.length > 1"
          class="link"
          type="button"
          :aria-label="`leave at home: rod ${at + 1}`"
          @click="plan.outfits.splice(at, 1)"
        >
          leave at home
        </button>
      </p>
      <button
        class="link"
        type="button"
        :disabled="plan.outfits.length >= MOST.outfits"
        @click="plan.outfits.push({ ...plan.outfits[0]! })"
      >
        another rod
      </button>
    </fieldset>
    <fieldset>
      <legend>Flies, the likeliest first</legend>
      <p v-for="(item, at) in plan.flies" :key="at" class="row">
        <PickOne v-model="item.fly" :label="`Fly ${at + 1}`" :options="titles(kit.flies)" />
        <PickOne
          v-model="item.wish!"
          :label="`How fly ${at + 1} should fish`"
          :options="plain(catalogue?.wishes)"
        />
        <button
          v-if="plan.flies.length > 1"
          class="link"
          type="button"
          :aria-label="`leave at home: fly ${at + 1}`"
          @click="dropFly(at)"
        >
          leave at home
        </button>
      </p>
      <button
        class="link"
        type="button"
        :disabled="plan.flies.length >= MOST.flies"
        @click="plan.flies.push({ ...plan.flies.at(-1)! })"
      >
        another fly
      </button>
    </fieldset>
    <PlanStops
      :stops="plan.stops"
      :flies="flies"
      :stretches="stretches"
      :water="water?.title ?? ''"
      @next="addStop"
      @leave="(at) => plan.stops.splice(at, 1)"
    />
    <label>Notes <input v-model="plan.notes" class="pick" maxlength="300" /></label>
    <p class="row"><slot /></p>
  </form>
</template>

<style scoped>
.edit {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.line {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
}

label {
  color: var(--ink-2);
  font-size: var(--small);
}

label :deep(.pick),
label .pick {
  color: var(--ink);
  font-size: var(--size);
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  padding: 0;
  font-weight: 640;
}

fieldset .row {
  margin-bottom: 4px;
}

fieldset :deep(select) {
  width: auto;
  min-width: 150px;
  max-width: 300px;
}

@media print {
  .edit {
    display: none;
  }
}

@media (max-width: 820px) {
  fieldset :deep(select) {
    width: 100%;
    max-width: none;
  }
}
</style>
