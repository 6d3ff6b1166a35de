<script setup lang="ts">
import { reactive, watch } from 'vue'
import { answered, api, type Schemas, type StockRow } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import MaterialField from '@/widgets/MaterialField.vue'
import PlainField from '@/widgets/PlainField.vue'
import ShelfDialog from './ShelfDialog.vue'
import { useShelfForm } from './useShelfForm'

type Form = Schemas['SpoolForm']
const props = defineProps<{ row: StockRow | null; like: StockRow | null }>()
const emit = defineEmits<{ another: [row: StockRow] }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const { refused, attempt, remove } = useShelfForm(() => (open.value = false))
const form = reactive({
  title: '',
  material: 'nylon-stiff' as Form['material'],
  diameter: '',
  strength: '',
  left: '',
  bought: '',
  paid: '',
  paid_for: '',
  sighter: false,
})

watch(open, (shown) => {
  if (!shown) return
  const row = props.row ?? props.like
  refused.value = ''
  form.title = props.row?.title ?? ''
  form.material = (row?.material as Form['material']) ?? 'nylon-stiff'
  form.diameter = row && !row.estimated ? (row.diameter.split(' · ')[0] ?? '') : ''
  form.strength = row?.labelled ? row.strength : ''
  form.left = row?.left ?? ''
  form.bought = props.row?.bought ?? ''
  form.paid = row?.paid ?? ''
  form.paid_for = row?.paid_for ?? ''
  form.sighter = row?.sighter ?? false
})

const once = useIntent()
const save = () =>
  attempt(() => {
    const { sighter, ...rest } = form
    const body: Form = {
      ...rest,
      colour: sighter ? 'sighter' : 'plain',
      spool_id: props.row?.spool_id ?? '',
      units: settings.units,
    }
    return once(body, (header) =>
      answered(api.POST('/api/v1/stock/spools', { params: { header }, body })),
    )
  })
</script>

<template>
  <ShelfDialog
    v-model="open"
    :title="row ? 'This spool' : 'Add a spool'"
    :row="row"
    :refused="refused"
    @save="save"
    @remove="row && remove(row.spool_id)"
    @another="row && emit('another', row)"
  >
    <MaterialField v-model="form.material" />
    <PlainField
      v-model="form.diameter"
      label="Diameter (empty: by its label)"
      hint=".017, 5X or 0.45 mm"
    />
    <PlainField v-model="form.left" label="Left on it" hint="25 yd or 25 m" />
    <PlainField v-model="form.strength" label="Label strength" hint="30 lb or 14 kg" />
    <PlainField v-model="form.title" label="Name (optional)" />
    <PlainField v-model="form.bought" day label="Bought on, if known" />
    <PlainField v-model="form.paid" label="Paid, if known" hint="6.50" />
    <PlainField v-model="form.paid_for" label="For how much (empty: what is on it)" hint="30 m" />
    <label class="whole"
      ><input v-model="form.sighter" type="checkbox" /> Coloured as a sighter</label
    >
  </ShelfDialog>
</template>
