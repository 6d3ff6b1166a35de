<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { answered, api } from '@/api/client'
import { useStock } from '@/api/queries'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import ChipChoice from '@/widgets/ChipChoice.vue'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import StockPick from '@/widgets/StockPick.vue'
import DroopForm from './DroopForm.vue'
import JarForm from './JarForm.vue'
import MicrometerForm from './MicrometerForm.vue'
import ScaleForm from './ScaleForm.vue'
import StretchForm from './StretchForm.vue'

/** The bench instruments: what labels and tables say is put to the test. */
const KINDS = [
  { value: 'micrometer', words: 'how thick', note: ' micrometer' },
  { value: 'droop', words: 'how stiff', note: ' droop' },
  { value: 'stretch', words: 'how it stretches', note: ' weight' },
  { value: 'tip', words: 'a line’s tip', note: ' droop' },
  { value: 'belly', words: 'a line’s belly', note: ' droop' },
  { value: 'scale', words: 'what a fly weighs', note: ' scale' },
  { value: 'jar', words: 'how a fly sinks', note: ' jar' },
] as const
type Kind = (typeof KINDS)[number]['value']
const route = useRoute()
const settings = useSettings()
const kind = useAnglerStorage<Kind>('measure', 'micrometer')
const { data: stock } = useStock()
const { data: kit } = useQuery({
  queryKey: ['owned-kit', computed(() => settings.units)],
  queryFn: () =>
    answered(api.GET('/api/v1/owned/kit', { params: { query: { units: settings.units } } })),
})
const spools = computed(() => (stock.value ?? []).filter((row) => row.form === 'spool'))
const spool = ref(String(route.query['of'] ?? ''))
const fly = ref(String(route.query['fly'] ?? ''))
const line = ref(String(route.query['line'] ?? ''))
const kitOf = (what: 'fly' | 'line') =>
  (kit.value ?? [])
    .filter((row) => row.kind === what)
    .map((row) => option(row.tackle_id, row.title))
const flies = computed(() => kitOf('fly'))
const lines = computed(() => kitOf('line'))
const of = computed(() =>
  ['tip', 'belly'].includes(kind.value)
    ? 'line'
    : ['scale', 'jar'].includes(kind.value)
      ? 'fly'
      : 'spool',
)

watch(spools, (rows) => (spool.value ||= rows[0]?.spool_id ?? ''), { immediate: true })
watch(flies, (rows) => (fly.value ||= rows[0]?.value ?? ''), { immediate: true })
watch(lines, (rows) => (line.value ||= rows[0]?.value ?? ''), { immediate: true })
if (route.query['of'] && of.value !== 'spool') kind.value = 'micrometer'
if (route.query['fly'] && of.value !== 'fly') kind.value = 'jar'
if (route.query['line'] && of.value !== 'line') kind.value = 'tip'
</script>

<template>
  <section class="measure" aria-labelledby="measure-title">
    <h2 id="measure-title" class="unseen">Measure</h2>
    <p class="quiet">
      Measurements override labels and tables, with their spread; Sure then shows how much
      uncertainty they removed.
    </p>
    <ChipChoice v-model="kind" legend="Measure" :chips="KINDS" />
    <label class="row measure__what">
      <span class="quiet">of</span>
      <StockPick v-if="of === 'spool'" v-model="spool" label="The spool" :rows="spools" />
      <PickOne
        v-else-if="of === 'fly'"
        v-model="fly"
        label="The fly"
        :options="flies"
        otherwise=""
      />
      <PickOne v-else v-model="line" label="The line" :options="lines" otherwise="" />
    </label>
    <p v-if="of === 'spool' && stock && !spools.length" class="quiet">
      There is no spool on the shelf to measure.
    </p>
    <p v-else-if="of === 'fly' && kit && !flies.length" class="quiet">
      There is no fly in the kit.
    </p>
    <p v-else-if="of === 'line' && kit && !lines.length" class="quiet">
      There is no line in the kit.
    </p>
    <MicrometerForm v-else-if="kind === 'micrometer'" :of-id="spool" />
    <DroopForm v-else-if="kind === 'droop'" :of-id="spool" of="spool" />
    <StretchForm v-else-if="kind === 'stretch'" :of-id="spool" />
    <DroopForm v-else-if="kind === 'tip'" :of-id="line" of="line" />
    <DroopForm v-else-if="kind === 'belly'" :of-id="line" of="belly" />
    <ScaleForm v-else-if="kind === 'scale'" :of-id="fly" />
    <JarForm v-else :of-id="fly" />
  </section>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}

.measure__what > :last-child {
  width: min(340px, 100%);
}

.measure :deep(.measure__how) {
  max-width: 72ch;
}

.measure :deep(.measure__fields) {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 372px));
  gap: 14px 28px;
}

.measure :deep(.measure__column) {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.measure :deep(.measure__one input) {
  display: block;
  width: 112px;
}
</style>
