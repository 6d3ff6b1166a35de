<script setup lang="ts">
import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { OWN_TIES, useCatalogue, useOwnTies } from '@/api/queries'
import { notify } from '@/shell/notify'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'

type OwnKnots = Schemas['OwnKnots']
type Place = keyof OwnKnots
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

/** Shown at once, and kept one after another: the last that was picked is what stays. */
const { mutate: keep } = useMutation({
  mutationKey: OWN_TIES,
  scope: { id: 'own-ties' },
  mutationFn: (body: OwnKnots) => answered(api.PUT('/api/v1/angler/knots', { body })),
  onError: (error) => {
    notify(inWords(error), 'trouble')
  },
  onSettled: async () => {
    const isLast = queries.isMutating({ mutationKey: OWN_TIES }) === 1
    if (isLast) await queries.invalidateQueries({ queryKey: OWN_TIES })
  },
})

async function set(place: Place, knot: string) {
  await queries.cancelQueries({ queryKey: OWN_TIES }) // it may tell what was before
  const before = queries.getQueryData<OwnKnots>(OWN_TIES)
  if (!before) return
  const body: OwnKnots = { ...before, [place]: knot || null }
  queries.setQueryData(OWN_TIES, body)
  keep(body)
}
</script>

<template>
  <section class="own" aria-labelledby="own-ties">
    <h2 id="own-ties">What I always tie</h2>
    <p class="quiet">Every school uses these, wherever the knot holds.</p>
    <label v-for="place in ties ? choices : []" :key="place.key">
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
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  margin-top: 26px;
}

.own label {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
</style>
