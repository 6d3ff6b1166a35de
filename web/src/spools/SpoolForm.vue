<script setup lang="ts">
import { reactive, watch } from 'vue'
import { answered, api, type Schemas, type StockRow } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import MaterialField from '@/widgets/MaterialField.vue'
import PlainField from '@/widgets/PlainField.vue'
import { useShelfForm } from './useShelfForm'

type Form = Schemas['SpoolForm']
const props = defineProps<{ row: StockRow | null }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const { refused, attempt, remove } = useShelfForm(() => (open.value = false))
const form = reactive({
  title: '',
  material: 'nylon-stiff' as Form['material'],
  diameter: '',
  strength: '',
  left: '',
  sighter: false,
})

watch(open, (shown) => {
  if (!shown) return
  const row = props.row
  refused.value = ''
  form.title = row?.title ?? ''
  form.material = (row?.material as Form['material']) ?? 'nylon-stiff'
  form.diameter = row?.diameter.split(' · ')[0] ?? ''
  form.strength = row?.labelled ? row.strength : ''
  form.left = row?.left ?? ''
  form.sighter = row?.sighter ?? false
})

const save = () =>
  attempt(() => {
    const { sighter, ...rest } = form
    const body: Form = {
      ...rest,
      colour: sighter ? 'sighter' : 'plain',
      spool_id: props.row?.spool_id ?? '',
      units: settings.units,
    }
    return answered(api.POST('/api/stock/spools', { body }))
  })
</script>

<template>
  <el-dialog
    v-model="open"
    :title="row ? 'This spool' : 'Add a spool'"
    width="min(520px, 94vw)"
    append-to-body
  >
    <form class="form" @submit.prevent="save">
      <MaterialField v-model="form.material" />
      <PlainField
        v-model="form.diameter"
        label="Diameter, measured if you can"
        hint=".017, 5X or 0.45 mm"
      />
      <PlainField v-model="form.left" label="Left on it" hint="75 ft or 25 m" />
      <PlainField v-model="form.strength" label="Label strength, if any" hint="12 lb or 5.4 kg" />
      <PlainField v-model="form.title" class="whole" label="Name (or leave it to us)" />
      <label class="whole"
        ><input v-model="form.sighter" type="checkbox" /> Coloured as a sighter</label
      >
      <p v-if="refused" class="refusal whole" role="alert">{{ refused }}</p>
      <div class="row whole">
        <button class="do do--main" type="submit">{{ row ? 'Keep' : 'Put on the shelf' }}</button>
        <button v-if="row" class="do" type="button" @click="remove(row.spool_id)">
          Take off the shelf
        </button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
}

.whole {
  grid-column: 1 / -1;
}
</style>
