<script setup lang="ts">
import { withDays } from '@/widgets/dayText'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answered, api } from '@/api/client'
import { inWords } from '@/api/problems'
import { useFitted } from '@/bench/useFitted'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import MiniStrip from '@/widgets/MiniStrip.vue'
import { useSharedActs, type GiftRow } from './useGiving'

/** One thing that was given, read as it stands with its giver. */
const props = defineProps<{ row: GiftRow }>()
const settings = useSettings()
const router = useRouter()
const fitted = useFitted()
const acts = useSharedActs()
const { refused, attempt } = useRefusal()
const { data, error } = useQuery({
  queryKey: computed(() => ['given', props.row.given_id, settings.units]),
  queryFn: () =>
    answered(
      api.GET('/api/v1/gifts/{given_id}', {
        params: { path: { given_id: props.row.given_id }, query: { units: settings.units } },
      }),
    ),
})
const thing = computed(() => data.value?.thing)
const copy = () => attempt(async () => notify(await acts.copy(props.row)))
const take = () =>
  attempt(async () => {
    await fitted.open(thing.value!.design!)
    await router.push('/')
  })
</script>

<template>
  <p v-if="error" class="refusal" role="alert">{{ inWords(error) }}</p>
  <div v-else-if="thing" class="thing">
    <template v-if="thing.drawn">
      <MiniStrip
        :outline="thing.drawn.outline"
        :hung="thing.drawn.hung"
        :longest-m="thing.drawn.length_m"
      />
      <table class="ruled">
        <thead>
          <tr>
            <th>Tied on by</th>
            <th>Length</th>
            <th>Thickness</th>
            <th>Of</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(line, number) in thing.drawn.recipe.lines" :key="number">
            <td>{{ line.joint }}</td>
            <td class="figure">{{ line.length }}</td>
            <td class="figure">{{ line.thickness }}</td>
            <td>{{ line.of }}</td>
          </tr>
        </tbody>
      </table>
      <p>At the fly: {{ thing.drawn.recipe.at_the_fly }}.</p>
    </template>
    <section v-for="part in thing.parts" :key="part.title">
      <h3 v-if="part.title">{{ part.title }}</h3>
      <p v-for="line in part.lines" :key="line">{{ withDays(line) }}</p>
    </section>
    <p class="row">
      <button v-if="thing.design" class="do do--main" type="button" @click="take">
        Put it on my bench, from my spools
      </button>
      <button v-if="row.may_copy" class="do" type="button" @click="copy">
        Copy it: it is mine then
      </button>
      <span v-if="!row.may_copy" class="quiet">{{ row.giver }} shared it for reading only.</span>
    </p>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 10px 0 14px 16px;
}
</style>
