<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { isTyping } from '@/widgets/isTyping'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import { useInstrument, useInstruments } from './useInstrument'

/** An instrument on its wire, shown live; its reading is taken by Space, or by its own button. */
const props = defineProps<{ kind: 'micrometer' | 'scale'; ofId: string; what: string }>()
const emit = defineEmits<{ take: [reading: string] }>()
const OFF = 'off'
const SIMULATED = ''
const address = ref(OFF)
const { data: found } = useInstruments()
const places = computed(() => [
  option(OFF, 'typed by hand'),
  option(SIMULATED, `the simulated ${props.what}`),
  ...(found.value?.devices ?? []).map((device) =>
    option(device.address, `${device.words}, ${device.address}`),
  ),
])
const live = useInstrument(
  () =>
    address.value === OFF || !props.ofId
      ? null
      : { kind: props.kind, address: address.value, of_id: props.ofId },
  (reading) => emit('take', reading),
)
const reads = computed(() => ['live', 'moving', 'taken'].includes(live.value?.state ?? ''))

function take() {
  if (reads.value && live.value) emit('take', live.value.reading)
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const button = event.target instanceof HTMLButtonElement
  if (event.key !== ' ' || isTyping(event) || button || address.value === OFF) return
  event.preventDefault()
  take()
})
</script>

<template>
  <div class="live">
    <label class="row quiet">
      Read from
      <PickOne v-model="address" :options="places" />
    </label>
    <template v-if="address !== OFF">
      <p class="figure live__reading" :class="{ dim: live?.state !== 'live' }" role="status">
        {{ reads ? live?.reading : '–' }}
      </p>
      <p v-if="live && !['live', 'taken'].includes(live.state)" class="poor">{{ live.words }}</p>
      <p class="row">
        <button class="do" type="button" :disabled="!reads" @click="take">Use reading</button>
        <span class="quiet">or Space</span>
      </p>
    </template>
    <p v-else-if="found && !found.devices.length" class="quiet">{{ found.words }}</p>
  </div>
</template>

<style scoped>
.live {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  align-content: start;
}

.live__reading {
  font-size: 34px;
  line-height: 1.1;
}

.dim {
  color: var(--ink-2);
}
</style>
