<script setup lang="ts">
import { ref, watch } from 'vue'
import LiveInstrument from './LiveInstrument.vue'
import MeasuredSays from './MeasuredSays.vue'
import ReadingFields from './ReadingFields.vue'
import { useMeasure } from './useMeasure'

/** Scale: a fly weighed dry and wet; it is cast wet. */
const props = defineProps<{ ofId: string }>()
const empty = () => ['', '', '']
const dry = ref(empty())
const wet = ref(empty())
watch(
  () => props.ofId,
  () => {
    dry.value = empty()
    wet.value = empty()
  },
)
const isRead = (texts: string[]) => texts.some((text) => text.trim())
const measure = useMeasure('scale', () =>
  props.ofId && (isRead(dry.value) || isRead(wet.value))
    ? { of_id: props.ofId, dry: dry.value, wet: wet.value }
    : null,
)
const { answer, refused, trouble, busy } = measure

const filled = (texts: string[], reading: string) => {
  const at = texts.findIndex((text) => !text.trim())
  return texts.map((text, i) => (i === at ? reading : text))
}
/** Dry first; when those are full, wet. */
function take(reading: string) {
  if (dry.value.some((item) => !item.trim())) dry.value = filled(dry.value, reading)
  else wet.value = filled(wet.value, reading)
}
async function keep() {
  if (!(await measure.keep())) return
  dry.value = empty()
  wet.value = empty()
}
</script>

<template>
  <p class="quiet measure__how">
    Dry first, then dipped and shaken off once as after a cast. Weighing a dozen of the same and
    dividing by twelve is more accurate than weighing one.
  </p>
  <div class="measure__fields">
    <div class="measure__column">
      <ReadingFields v-model="dry" label="Dry" hint="0.21 g" />
      <ReadingFields v-model="wet" label="Wet" hint="0.24 g" />
    </div>
    <LiveInstrument kind="scale" :of-id="ofId" what="scale" @take="take" />
  </div>
  <MeasuredSays v-bind="{ ofId, answer, refused, trouble, busy }" @keep="keep" />
</template>
