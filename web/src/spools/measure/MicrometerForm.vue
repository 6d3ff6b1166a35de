<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useSettings } from '@/settings/useSettings'
import LiveInstrument from './LiveInstrument.vue'
import MeasuredSays from './MeasuredSays.vue'
import ReadingFields from './ReadingFields.vue'
import { useMeasure } from './useMeasure'

/** Micrometer or caliper: three readings round the strand at each of three places. */
const props = defineProps<{ ofId: string }>()
const settings = useSettings()
const empty = () => Array.from({ length: 3 }, () => ['', '', ''])
const places = ref(empty())
watch(
  () => props.ofId,
  () => (places.value = empty()),
)
const read = computed(() => places.value.some((place) => place.some((item) => item.trim())))
const measure = useMeasure('micrometer', () =>
  props.ofId && read.value ? { of_id: props.ofId, places: places.value } : null,
)
const { answer, refused, trouble, busy } = measure

function take(reading: string) {
  const place = places.value.findIndex((place) => place.some((text) => !text.trim()))
  if (place < 0) return
  const at = places.value[place]!.findIndex((text) => !text.trim())
  places.value = places.value.map((item, i) =>
    i === place ? item.map((text, j) => (j === at ? reading : text)) : item,
  )
}
async function keep() {
  if (await measure.keep()) places.value = empty()
}
</script>

<template>
  <p class="quiet measure__how">
    Strip off a yard first. Take three readings around the strand, a third of a turn apart, at three
    places. Close the jaws with the ratchet only, or a soft strand reads too thin.
  </p>
  <div class="measure__fields">
    <div class="measure__column">
      <ReadingFields
        v-for="(_, place) in places"
        :key="place"
        v-model="places[place]!"
        :label="`Place ${place + 1}`"
        :hint="settings.units === 'metric' ? '0.158 mm' : '.0062'"
      />
    </div>
    <LiveInstrument kind="micrometer" :of-id="ofId" what="micrometer" @take="take" />
  </div>
  <MeasuredSays v-bind="{ ofId, answer, refused, trouble, busy }" @keep="keep" />
</template>
