<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useCatalogue, useOwnTies } from '@/api/queries'
import { notify } from '@/shell/notify'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'

type Ties = Schemas['OwnTies']
type Place = keyof Ties
/** The knots that an angler always ties, by place. */
const queries = useQueryClient()
const { data: catalogue } = useCatalogue()
const { data: ties } = useOwnTies()
const USUAL = option('', 'as is usual')
const PLACES: { key: Place; words: string; at: 'eye' | 'between' }[] = [
  { key: 'fly', words: 'To the fly', at: 'eye' },
  { key: 'ring', words: 'To rings and swivels', at: 'eye' },
  { key: 'tippet', words: 'To the tippet', at: 'between' },
  { key: 'sections', words: 'Between other pieces', at: 'between' },
]
const choices = computed(() =>
  PLACES.map((place) => ({
    ...place,
    options: [
      USUAL,
      ...(catalogue.value?.knots[place.at] ?? []).map(({ key, title }) => option(key, title)),
    ],
  })),
)

/** Shown at once: what is picked next goes with it. */
async function set(place: Place, knot: string) {
  const before = ties.value
  const body: Ties = { ...before, [place]: knot || null }
  queries.setQueryData(['own-ties'], body)
  try {
    await answered(api.PUT('/api/angler/knots', { body }))
  } catch (error) {
    queries.setQueryData(['own-ties'], before)
    notify(inWords(error), 'trouble')
  }
}
</script>

<template>
  <section class="own" aria-labelledby="own-ties">
    <h2 id="own-ties">What I always tie</h2>
    <p class="quiet">Every school ties so, wherever the knot holds.</p>
    <label v-for="place in choices" :key="place.key">
      <span class="quiet">{{ place.words }}</span>
      <PickOne
        :options="place.options"
        :model-value="ties?.[place.key] ?? ''"
        @update:model-value="set(place.key, $event)"
      />
    </label>
  </section>
</template>

<style scoped>
.own {
  display: grid;
  gap: 6px;
  margin-top: 26px;
}

.own label {
  display: grid;
  gap: 2px;
}
</style>
