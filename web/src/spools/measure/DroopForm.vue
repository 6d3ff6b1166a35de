<script setup lang="ts">
import { ref, watch } from 'vue'
import { useSettings } from '@/settings/useSettings'
import MeasuredSays from './MeasuredSays.vue'
import ReadingFields from './ReadingFields.vue'
import { useMeasure } from './useMeasure'

/** Droop: a length clamped level, and how far its end droops. */
const props = defineProps<{ ofId: string; of: 'spool' | 'line' | 'belly' }>()
const settings = useSettings()
const empty = () => ['', '', '', '']
const length = ref('')
const drops = ref(empty())
watch(
  () => props.ofId,
  () => {
    length.value = ''
    drops.value = empty()
  },
)
const measure = useMeasure('droop', () =>
  props.ofId && length.value.trim() && drops.value.some((drop) => drop.trim())
    ? { of_id: props.ofId, of: props.of, length: length.value, drops: drops.value }
    : null,
)
const { answer, refused, trouble, busy } = measure

async function keep() {
  if (await measure.keep()) drops.value = empty()
}
</script>

<template>
  <p class="quiet measure__how">
    Clamp a straight length level at a table’s edge and read how far its end hangs below the edge, a
    fifth to a half of the length. Turn it a quarter between readings to cancel its set.
    <template v-if="of === 'spool'">
      Soak nylon for a quarter of an hour first: it is fished wet, and softer than dry.
    </template>
    <template v-else-if="of === 'belly'">
      Don’t cut it: fold the line {{ settings.units === 'metric' ? '4 m' : '12 ft' }} behind its
      tip, lay both strands side by side and read how far the fold hangs below the edge. Two strands
      droop as one does.
    </template>
  </p>
  <div class="measure__fields">
    <label class="quiet measure__one">
      Free length
      <input
        v-model="length"
        class="pick figure"
        :placeholder="settings.units === 'metric' ? '12 cm' : '5 in'"
      />
    </label>
    <ReadingFields
      v-model="drops"
      label="End droops by"
      :hint="settings.units === 'metric' ? '3.5 cm' : '1¼ in'"
    />
  </div>
  <MeasuredSays v-bind="{ ofId, answer, refused, trouble, busy }" @keep="keep" />
</template>
