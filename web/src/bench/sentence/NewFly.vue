<script setup lang="ts">
import { computed, reactive } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import AddSomething from '@/widgets/AddSomething.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import PlainField from '@/widgets/PlainField.vue'
import { useSettings } from '@/settings/useSettings'
import FlyFigures from './FlyFigures.vue'
import { plainChips } from './useDay'

type FlyForm = Schemas['FlyForm']
const emit = defineEmits<{ made: [fly: Schemas['Fly']] }>()
const { data: catalogue } = useCatalogue()
const settings = useSettings()
const form = reactive({
  title: '',
  kind: 'dry' as FlyForm['kind'],
  hook: '',
  bulk: 'standard' as FlyForm['bulk'],
  bead: '',
  bead_metal: 'tungsten' as FlyForm['bead_metal'],
  length: '',
  dressing: null as FlyForm['dressing'],
  head: null as FlyForm['head'],
  trailing_hook: false,
  weight: '',
  area: '',
  fall: '',
  fall_time: '',
  air_fall: '',
  air_fall_time: '',
  barbless: false,
  tube: false,
})

const heads = computed(() => [
  option('', 'nothing'),
  ...(catalogue.value?.heads ?? []).map((head) => option(head as string, head)),
])
const long = computed(() => form.kind === 'streamer' || form.kind === 'predator')

async function add() {
  const made = await answered(
    api.POST('/api/v1/kit/flies', { body: { ...form, units: settings.units } }),
  )
  emit('made', made)
}
</script>

<template>
  <AddSomething title="Another fly …" button="Put it in the box" refresh="kit" :add="add">
    <PlainField v-model="form.title" label="Name (optional)" />
    <ChipChoice v-model="form.kind" legend="Kind" :chips="plainChips(catalogue?.fly_kinds)" />
    <ChipChoice v-model="form.bulk" legend="Bulk" :chips="plainChips(catalogue?.bulks)" />
    <div class="row">
      <PlainField v-model="form.hook" class="grow" label="Hook" hint="14 or 2/0" />
      <PlainField v-model="form.bead" class="grow" label="Tungsten bead, if any" hint="3 mm" />
      <PlainField v-model="form.length" class="grow" label="Whole length" hint="4 in" />
    </div>
    <ChipChoice
      v-if="long"
      :model-value="form.dressing ?? ''"
      legend="Its dressing"
      :chips="plainChips(catalogue?.dressings)"
      @update:model-value="form.dressing = ($event || null) as FlyForm['dressing']"
    />
    <label class="quiet">
      Cone or eyes at the head
      <PickOne
        :options="heads"
        :model-value="form.head ?? ''"
        @update:model-value="form.head = ($event || null) as FlyForm['head']"
      />
    </label>
    <FlyFigures :typed="form" />
    <div class="row">
      <PlainField v-model="form.weight" class="grow" label="Weight, if known" hint="260 mg" />
      <PlainField v-model="form.area" class="grow" label="Air drag area, if known" hint="3 cm2" />
    </div>
    <div class="row">
      <PlainField v-model="form.fall" class="grow" label="Jar test: falls" hint="8 in" />
      <PlainField v-model="form.fall_time" class="grow" label="in" hint="0.6 s" />
    </div>
    <div class="row">
      <PlainField v-model="form.air_fall" class="grow" label="Drop test from" hint="8 ft" />
      <PlainField v-model="form.air_fall_time" class="grow" label="down in" hint="1.1 s" />
    </div>
    <div class="row">
      <label><input v-model="form.barbless" type="checkbox" /> barbless</label>
      <label><input v-model="form.tube" type="checkbox" /> on a tube</label>
      <label><input v-model="form.trailing_hook" type="checkbox" /> with a trailing hook</label>
    </div>
  </AddSomething>
</template>
