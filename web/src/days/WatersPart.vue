<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { attempt } from '@/shell/attempt'
import { usePlaceActs, usePlaces } from './usePlaces'
import WaterPart from './WaterPart.vue'

/** Waters with their stretches, as they usually are and at today's level. */
const { data: places, isSuccess } = usePlaces()
const chosen = useAnglerStorage('water', '')
const name = ref('')
const KINDS = ['river', 'lake', 'sea'] as const
const kind = ref<(typeof KINDS)[number]>('river')
const acts = usePlaceActs(() => chosen.value)
const here = computed(() => places.value?.some((place) => place.place_id === chosen.value))

watch(
  places,
  (now) => {
    if (now && !here.value) chosen.value = now[0]?.place_id ?? ''
  },
  { immediate: true },
)

const add = () =>
  attempt(async () => {
    const made = await acts.add({
      title: name.value.trim(),
      kind: kind.value,
      rules: NO_RULES,
      latitude: '',
      longitude: '',
      notes: '',
    })
    chosen.value = made.place_id
    name.value = ''
  })
const NO_RULES = {
  most_flies: null,
  barbless: false,
  lead_banned: false,
  wire_required: false,
  least_apart_m: null,
}
</script>

<template>
  <div>
    <p class="quiet days__words">
      Your waters, stretch by stretch. Note depth and speed at one level, and Nine Knots works them
      out for any other level, with how certain they are. Put a stretch on the bench to judge
      leaders for it as it is today.
    </p>
    <div class="days">
      <nav aria-label="Waters">
        <ul>
          <li v-for="place in places" :key="place.place_id">
            <label :class="{ here: place.place_id === chosen }">
              <input
                v-model="chosen"
                class="behind"
                type="radio"
                name="water"
                :value="place.place_id"
              />
              <b>{{ place.title }}</b>
              <span class="quiet">{{ place.words }}</span>
            </label>
          </li>
        </ul>
        <p v-if="isSuccess && !places?.length" class="quiet">No water yet: add yours.</p>
        <form class="add" @submit.prevent="add">
          <input
            v-model="name"
            class="pick"
            aria-label="Name of another water"
            placeholder="another water"
            maxlength="60"
          />
          <select v-model="kind" class="pick" aria-label="Kind">
            <option v-for="option in KINDS" :key="option" :value="option">{{ option }}</option>
          </select>
          <button class="do" type="submit" :disabled="!name.trim()">Add it</button>
        </form>
      </nav>
      <WaterPart v-if="here" :key="chosen" :place-id="chosen" @gone="chosen = ''" />
    </div>
  </div>
</template>

<style scoped>
.days__words {
  max-width: 76ch;
  margin: 0 0 16px;
}

.days {
  display: grid;
  grid-template-columns: minmax(190px, 1fr) minmax(0, 4fr);
  gap: 34px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

nav label {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  padding: 7px 0 7px 10px;
  border-left: 3px solid var(--hair);
  cursor: pointer;
}

nav label.here {
  border-left-color: var(--act);
}

nav label:focus-within {
  outline: 3px solid var(--act);
}

.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  margin-top: 14px;
}

@media (max-width: 820px) {
  .days {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
