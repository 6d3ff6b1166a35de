<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import TypedField from '@/widgets/TypedField.vue'

/** Whose cut list it is: how tall, for lengths without a tape, and how much line their knots take. */
const bench = useBench()
const settings = useSettings()
const queries = useQueryClient()
const units = computed(() => settings.units)
const key = computed(() => ['tyer', units.value])
const { data: tyer } = useQuery({
  queryKey: key,
  queryFn: () => answered(api.GET('/api/v1/tying', { params: { query: { units: units.value } } })),
})

async function take(height: string) {
  const body = { height, units: settings.units }
  queries.setQueryData(key.value, await answered(api.PUT('/api/v1/tying/height', { body })))
  await bench.change({ kind: 'read' })
}
</script>

<template>
  <div v-if="tyer" class="tyer">
    <TypedField
      class="tyer__height"
      label="Your height, to cut without a tape"
      :model-value="tyer.height"
      :take="take"
      :hint="settings.units === 'metric' ? '175 cm' : '5 ft 9 in'"
    />
    <p class="quiet grow">
      {{ tyer.hand }} An arm span is about your height; hand to breastbone is half of it.
    </p>
  </div>
</template>

<style scoped>
.tyer {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 6px 16px;
  margin-top: 12px;
}

.tyer__height {
  width: 230px;
}

.tyer p {
  flex-basis: 240px;
  font-size: var(--small);
}
</style>
