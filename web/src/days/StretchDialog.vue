<script setup lang="ts">
import { reactive } from 'vue'
import { useCatalogue } from '@/api/queries'
import { useRefusal } from '@/shell/useRefusal'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import PlainField from '@/widgets/PlainField.vue'
import { usePlaceActs, type StretchForm, type StretchReading } from './usePlaces'

/** A stretch as it usually is: depth and pace in words or figures, and what else there is to know. */
const props = defineProps<{ placeId: string; row: StretchReading | null }>()
const emit = defineEmits<{ close: [] }>()
const acts = usePlaceActs(() => props.placeId)
const { data: catalogue } = useCatalogue()
const { refused, attempt } = useRefusal()
const plain = <const T extends string>(words: readonly T[]) =>
  words.map((word) => option(word, word))
const WATERS = plain([
  'pocket water',
  'riffle',
  'run',
  'glide',
  'pool',
  'lake',
  'estuary',
  'flats',
  'surf',
] as const)
const BEDS = plain(['sand', 'gravel', 'cobble', 'boulder'] as const)
const CLEAR = plain(['clear', 'tinged', 'coloured'] as const)
const SNAGS = plain(['open', 'some snags', 'heavy snags'] as const)
const BEHIND = plain(['open', 'some trees', 'trees'] as const)
const HAZARDS = [
  'deep wading',
  'strong current',
  'slippery bed',
  'soft bed',
  'steep bank',
  'power lines',
  'rising water',
  'tide that cuts off',
  'boats',
  'ice',
] as const
const old = props.row?.stretch
const form = reactive<StretchForm>({
  stretch_id: old?.stretch_id ?? '',
  title: old?.title ?? '',
  kind: old?.water.kind ?? 'run',
  depth: props.row?.typed.depth ?? '',
  pace: props.row?.typed.pace ?? '',
  bed: old?.water.bed ?? 'gravel',
  clarity: old?.water.clarity ?? 'clear',
  snags: old?.water.snags ?? 'open',
  behind: old?.room.behind ?? 'open',
  bank: props.row?.typed.bank ?? '',
  fish: [...(old?.fish ?? [])],
  hazards: [...(old?.hazards ?? [])],
  own_rules: old?.own_rules ?? null,
  notes: old?.notes ?? '',
})
async function closing(work: () => Promise<unknown>) {
  if (await attempt(work)) emit('close')
}
const keep = () => closing(() => acts.putStretch({ ...form }))
const drop = () => closing(() => acts.dropStretch(form.stretch_id))
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="row ? row.title : 'Add a stretch'"
    width="min(640px, 94vw)"
    append-to-body
    top="6vh"
    @close="emit('close')"
  >
    <form class="form" @submit.prevent="keep">
      <PlainField v-model="form.title" class="whole" label="Name" hint="the alder pool, head" />
      <PlainField v-model="form.depth" label="Usual depth" hint="waist-deep, 3 ft" />
      <PlainField v-model="form.pace" label="and so fast" hint="walking pace, 8 s for 10 steps" />
      <label>Water <PickOne v-model="form.kind" :options="WATERS" /></label>
      <label>Bed <PickOne v-model="form.bed" :options="BEDS" /></label>
      <label>Clarity <PickOne v-model="form.clarity" :options="CLEAR" /></label>
      <label>Snags <PickOne v-model="form.snags" :options="SNAGS" /></label>
      <label>Behind you <PickOne v-model="form.behind" :options="BEHIND" /></label>
      <PlainField v-model="form.bank" label="Bank above the water" hint="0.6 m, or nothing" />
      <fieldset class="whole ticks">
        <legend>Fish</legend>
        <label v-for="fish in catalogue?.fish" :key="fish.key"
          ><input v-model="form.fish" type="checkbox" :value="fish.key" /> {{ fish.title }}</label
        >
      </fieldset>
      <fieldset class="whole ticks">
        <legend>Hazards</legend>
        <label v-for="hazard in HAZARDS" :key="hazard"
          ><input v-model="form.hazards" type="checkbox" :value="hazard" /> {{ hazard }}</label
        >
      </fieldset>
      <PlainField v-model="form.notes" class="whole" label="Notes" hint="where they lie" />
      <p v-if="refused" class="refusal whole" role="alert">{{ refused }}</p>
      <div class="row whole">
        <button class="do do--main" type="submit">Keep</button>
        <button v-if="row" class="do" type="button" @click="drop">Delete this stretch</button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px 16px;
}

.whole {
  grid-column: 1 / -1;
}

.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
  padding: 0;
  border: 0;
}

label,
legend {
  color: var(--ink-2);
  font-size: var(--small);
}
</style>
