<script setup lang="ts">
import { reactive, watch } from 'vue'
import { answered, api, type Schemas, type StockRow } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import CountField from '@/widgets/CountField.vue'
import MaterialField from '@/widgets/MaterialField.vue'
import PlainField from '@/widgets/PlainField.vue'
import ShelfDialog from './ShelfDialog.vue'
import { useShelfForm } from './useShelfForm'

type Form = Schemas['PacketForm']
const props = defineProps<{ row: StockRow | null; like: StockRow | null }>()
const emit = defineEmits<{ another: [row: StockRow] }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const { refused, attempt, remove } = useShelfForm(() => (open.value = false))
const EMPTY = {
  title: '',
  sold_as: '',
  material: 'nylon-medium' as Form['material'],
  butt: '',
  butt_length: '',
  taper_length: '',
  tip_length: '',
  tip: '',
  strength: '',
  count: 3,
  bought: '',
  paid: '',
  paid_for: '',
}
const form = reactive({ ...EMPTY })

watch(open, (shown) => {
  if (!shown) return
  refused.value = ''
  const row = props.row ?? props.like
  Object.assign(form, EMPTY, row?.packet ?? {})
  form.title = props.row?.title ?? ''
  form.bought = props.row?.bought ?? ''
  form.paid = row?.paid ?? ''
  form.paid_for = row?.paid_for ?? ''
  if (row) {
    form.material = row.material as Form['material']
    form.strength = row.labelled ? row.strength : ''
  }
})

const once = useIntent()
const save = () =>
  attempt(() => {
    const body = { ...form, spool_id: props.row?.spool_id ?? '', units: settings.units }
    return once(body, (header) =>
      answered(api.POST('/api/v1/stock/packets', { params: { header }, body })),
    )
  })
</script>

<template>
  <ShelfDialog
    v-model="open"
    :title="row ? 'These knotless tapers' : 'Add knotless tapers'"
    :row="row"
    :refused="refused"
    @save="save"
    @remove="row && remove(row.spool_id)"
    @another="row && emit('another', row)"
  >
    <MaterialField v-model="form.material" />
    <CountField v-model="form.count" label="How many" :min="0" :max="500" />
    <PlainField v-model="form.sold_as" class="whole" label="As it is sold" hint="9 ft 5X" />
    <p class="whole quiet">
      That is enough: butt, taper and tip are assumed to be 60 : 20 : 20 and marked ≈. Or enter
      measured lengths.
    </p>
    <PlainField v-model="form.butt" label="Butt" hint=".021 or 0.53 mm" />
    <PlainField v-model="form.butt_length" label="Length of the level butt" hint="3 ft" />
    <PlainField v-model="form.tip" label="Tip" hint="4X or .007" />
    <PlainField v-model="form.tip_length" label="Length of the level tip" hint="2 ft" />
    <PlainField v-model="form.taper_length" label="Length of the taper between" hint="4 ft" />
    <PlainField v-model="form.strength" label="Label strength of the tip" hint="6 lb" />
    <PlainField v-model="form.title" label="Name (optional)" />
    <PlainField v-model="form.bought" day label="Bought on, if known" />
    <PlainField v-model="form.paid" label="Paid, if known" hint="12.60" />
    <PlainField v-model="form.paid_for" label="For how many (empty: all)" hint="3" />
  </ShelfDialog>
</template>
