<script setup lang="ts">
import { reactive } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import AddSomething from '@/widgets/AddSomething.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import PlainField from '@/widgets/PlainField.vue'
import { useSettings } from '@/settings/useSettings'
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
  weight: '',
  fall: '',
  fall_time: '',
  barbless: false,
  tube: false,
})

async function add() {
  const made = await answered(
    api.POST('/api/kit/flies', { body: { ...form, units: settings.units } }),
  )
  emit('made', made)
}
</script>

<template>
  <AddSomething title="Another fly …" button="Put it in the box" refresh="kit" :add="add">
    <PlainField v-model="form.title" label="Name (or leave it to us)" />
    <ChipChoice v-model="form.kind" legend="Kind" :chips="plainChips(catalogue?.fly_kinds)" />
    <ChipChoice v-model="form.bulk" legend="Bulk" :chips="plainChips(catalogue?.bulks)" />
    <div class="row">
      <PlainField v-model="form.hook" class="grow" label="Hook" hint="14 or 2/0" />
      <PlainField v-model="form.bead" class="grow" label="Tungsten bead, if any" hint="3 mm" />
      <PlainField v-model="form.weight" class="grow" label="Weighed, if it was" hint="260 mg" />
    </div>
    <div class="row">
      <PlainField v-model="form.fall" class="grow" label="In a jar it falls" hint="8 in" />
      <PlainField v-model="form.fall_time" class="grow" label="in" hint="0.6 s" />
    </div>
    <div class="row">
      <label><input v-model="form.barbless" type="checkbox" /> barbless</label>
      <label><input v-model="form.tube" type="checkbox" /> on a tube</label>
    </div>
  </AddSomething>
</template>
