<script setup lang="ts">
import { reactive } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import AddSomething from '@/widgets/AddSomething.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import CountField from '@/widgets/CountField.vue'
import PlainField from '@/widgets/PlainField.vue'
import { plainChips } from './useDay'

const emit = defineEmits<{ made: [rod: Schemas['Rod']] }>()
const settings = useSettings()
const ACTIONS = ['soft', 'medium', 'fast'] as const
const form = reactive({
  title: '',
  length: '',
  weight: 5,
  action: 'medium' as (typeof ACTIONS)[number],
})

async function add() {
  const body = { ...form, units: settings.units }
  emit('made', await answered(api.POST('/api/v1/kit/rods', { body })))
}
</script>

<template>
  <AddSomething title="Another rod …" button="Put it in the rack" refresh="kit" :add="add">
    <div class="row">
      <PlainField v-model="form.title" class="grow" label="Name (optional)" />
      <PlainField v-model="form.length" label="Length" hint="9 ft" />
    </div>
    <CountField v-model="form.weight" label="Line weight" :min="1" :max="14" />
    <ChipChoice v-model="form.action" legend="Action" :chips="plainChips(ACTIONS)" />
  </AddSomething>
</template>
