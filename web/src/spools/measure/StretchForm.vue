<script setup lang="ts">
import { reactive, watch } from 'vue'
import { useSettings } from '@/settings/useSettings'
import PlainField from '@/widgets/PlainField.vue'
import MeasuredSays from './MeasuredSays.vue'
import { useMeasure } from './useMeasure'

/** Stretch and memory: a weight hung on a length, and what stays of the stretch. */
const props = defineProps<{ ofId: string }>()
const settings = useSettings()
const EMPTY = { length: '', mass: '', longer: '', stays: '' }
const form = reactive({ ...EMPTY })
watch(
  () => props.ofId,
  () => Object.assign(form, EMPTY),
)
const measure = useMeasure('stretch', () =>
  props.ofId && form.length.trim() && form.mass.trim() && form.longer.trim()
    ? { of_id: props.ofId, ...form }
    : null,
)
const { answer, refused, trouble, busy } = measure

async function keep() {
  if (await measure.keep()) Object.assign(form, EMPTY)
}
</script>

<template>
  <p class="quiet measure__how">
    Hang a weight of a fifth of its strength on a yard or a metre, soaked. Read how much longer it
    is under the weight, and how much longer it still is a minute after. Stand beside it, not under
    it, with eye protection.
  </p>
  <div class="measure__fields">
    <PlainField
      v-model="form.length"
      label="Length"
      :hint="settings.units === 'metric' ? '1 m' : '1 yd'"
    />
    <PlainField v-model="form.mass" label="Weight hung on it" hint="200 g" />
    <PlainField
      v-model="form.longer"
      label="Longer under it by"
      :hint="settings.units === 'metric' ? '22 mm' : '7/8 in'"
    />
    <PlainField v-model="form.stays" label="Still longer after a minute" hint="2 mm, or nothing" />
  </div>
  <MeasuredSays v-bind="{ ofId, answer, refused, trouble, busy }" @keep="keep" />
</template>
