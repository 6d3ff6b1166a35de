<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useRefusal } from '@/shell/useRefusal'
import { usePlaceActs } from './usePlaces'

/** Where a water's level is read: any SensorThings service, or the stand-in that ships. */
const props = defineProps<{ placeId: string }>()
const emit = defineEmits<{ close: [] }>()
const acts = usePlaceActs(() => props.placeId)
const DEMO = 'demo'
const typed = ref('')
const base = ref('')
const { refused, attempt } = useRefusal()
const {
  data: gauges,
  error,
  isFetching,
} = useQuery({
  queryKey: ['gauges', base],
  queryFn: () =>
    answered(api.GET('/api/v1/places/gauges', { params: { query: { base: base.value } } })),
  enabled: computed(() => !!base.value),
  retry: false,
})

async function choose(row: { datastream: string; title: string; metres: number | null }) {
  const { datastream, title, metres } = row
  await put({ base: base.value, datastream, title, metres: metres ?? 1 })
}
const none = () => put({ base: '', datastream: '', title: '', metres: 1 })

async function put(gauge: Schemas['GaugeForm']) {
  if (await attempt(() => acts.putGauge(gauge))) emit('close')
}
</script>

<template>
  <el-dialog
    :model-value="true"
    title="Choose a gauge"
    width="min(600px, 94vw)"
    append-to-body
    @close="emit('close')"
  >
    <p>
      Many authorities publish river levels through an open standard, the OGC SensorThings API.
      Enter the base address of such a service, or try the simulated one that ships with Nine Knots.
    </p>
    <form class="row gauge" @submit.prevent="base = typed.trim()">
      <input
        v-model="typed"
        class="pick figure gauge__address"
        aria-label="Base address of the service"
        placeholder="https://… /v1.1"
      />
      <button class="do" type="submit" :disabled="!typed.trim()">Look it up</button>
      <button class="do" type="button" @click="base = DEMO">The simulated one</button>
    </form>
    <p v-if="isFetching" class="quiet" role="status">Contacting the service …</p>
    <p v-else-if="error" class="refusal" role="alert">{{ inWords(error) }}</p>
    <p v-else-if="gauges && !gauges.length" class="quiet">It has no level to read.</p>
    <ul v-else>
      <li v-for="row in gauges" :key="row.datastream" class="row">
        <span class="grow"
          >{{ row.title }} <span class="quiet">{{ row.unit }}</span></span
        >
        <button
          class="link"
          type="button"
          :disabled="row.metres === null"
          :aria-label="`Read ${row.title}`"
          @click="choose(row)"
        >
          {{ row.metres === null ? 'no level' : 'read this' }}
        </button>
      </li>
    </ul>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <p>
      <button class="link" type="button" @click="none">no gauge: I enter the level</button>
    </p>
  </el-dialog>
</template>

<style scoped>
.gauge {
  margin: 10px 0;
}

.gauge__address {
  flex: 1;
  width: auto;
}

ul {
  margin: 0 0 10px;
  padding: 0;
  list-style: none;
}

li {
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}

.link:disabled {
  border: 0;
  color: var(--ink-2);
  cursor: default;
}
</style>
