<script setup lang="ts">
import { reactive } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import AddSomething from '@/widgets/AddSomething.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import PlainField from '@/widgets/PlainField.vue'
import { plainChips } from './useDay'

type FlyForm = Schemas['FlyForm']
const emit = defineEmits<{ made: [fly: Schemas['Fly']] }>()
const { data: catalogue } = useCatalogue()
const form = reactive({
  title: '',
  kind: 'dry' as FlyForm['kind'],
  hook: '',
  bulk: 'standard' as FlyForm['bulk'],
  bead: '',
  bead_metal: 'tungsten' as FlyForm['bead_metal'],
  weight: '',
})

async function add() {
  const made = await answered(api.POST('/api/kit/flies', { body: form }))
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
  </AddSomething>
</template>
