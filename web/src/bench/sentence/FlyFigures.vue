<script setup lang="ts">
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'

/** What a fly is taken to weigh and how it catches the air: one from the box, or one being typed. */
const props = defineProps<{ fly?: Schemas['Fly']; typed?: Omit<Schemas['FlyForm'], 'units'> }>()
const settings = useSettings()
const owned = useAnswer(
  () => (props.fly ? { body: props.fly, units: settings.units } : null),
  ({ body, units }, { signal }) =>
    answered(api.POST('/api/v1/kit/flies/figures', { body, params: { query: { units } }, signal })),
  { keep: true },
)
const preview = useAnswer(
  () => (props.typed?.hook ? { ...props.typed, units: settings.units } : null),
  (body, { signal }) => answered(api.POST('/api/v1/kit/flies/preview', { body, signal })),
  { quiet: 250, keep: true },
)
const words = computed(() => (props.fly ? owned : preview).answer.value?.words ?? '')
</script>

<template>
  <p v-if="words" class="quiet" role="status">
    {{ words }}
    <template v-if="fly">To use your own figures, add it again with the figures typed in.</template>
  </p>
</template>
