<script setup lang="ts">
import { reactive } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import AddSomething from '@/widgets/AddSomething.vue'
import ChipChoice from '@/widgets/ChipChoice.vue'
import CountField from '@/widgets/CountField.vue'
import PlainField from '@/widgets/PlainField.vue'
import { plainChips } from './useDay'

type LineForm = Schemas['LineForm']
const emit = defineEmits<{ made: [line: Schemas['FlyLine']] }>()
const settings = useSettings()
const { data: catalogue } = useCatalogue()
const HEAVY = [
  { value: '0', words: 'true to weight' },
  { value: '1', words: 'half a size heavy' },
  { value: '2', words: 'a size heavy' },
]
const form = reactive({
  title: '',
  weight: 5,
  heavy: '0',
  sinking: 'floating' as LineForm['sinking'],
  front_taper: 'standard' as LineForm['front_taper'],
  tip: 'loop' as LineForm['tip'],
  sink_tip: '',
  head: '',
  head_length: '',
  level: '',
  droop_length: '',
  droop: '',
})

async function add() {
  const { heavy, ...rest } = form
  const body = { ...rest, half_sizes_heavy: Number(heavy), units: settings.units }
  emit('made', await answered(api.POST('/api/v1/kit/lines', { body })))
}
</script>

<template>
  <AddSomething title="Another line …" button="Wind it on" refresh="kit" :add="add">
    <PlainField v-model="form.title" label="Name (optional)" />
    <CountField v-model="form.weight" label="Line weight" :min="1" :max="14" />
    <ChipChoice v-model="form.heavy" legend="How true" :chips="HEAVY" />
    <ChipChoice v-model="form.sinking" legend="Sinks" :chips="plainChips(catalogue?.sinkings)" />
    <PlainField
      v-if="form.sinking !== 'floating'"
      v-model="form.sink_tip"
      label="Sink tip length"
      hint="all of it"
    />
    <ChipChoice
      v-model="form.front_taper"
      legend="Front taper"
      :chips="plainChips(['short', 'standard', 'long'] as const)"
    />
    <div class="row">
      <PlainField v-model="form.head" class="grow" label="Head weight" hint="19 g or 300 gr" />
      <PlainField v-model="form.head_length" class="grow" label="over" hint="30 ft" />
    </div>
    <PlainField v-model="form.level" label="Or a level line of diameter" hint=".022 or 0.55 mm" />
    <ChipChoice v-model="form.tip" legend="Tip" :chips="plainChips(['loop', 'bare'] as const)" />
    <p class="quiet">
      Droop test, if you made one: clamp the tip level, measure the free length and how far its end
      droops. It shows how stiff your line tip is.
    </p>
    <div class="row">
      <PlainField v-model="form.droop_length" class="grow" label="Free length" hint="8 in" />
      <PlainField v-model="form.droop" class="grow" label="End droops by" hint="2 in" />
    </div>
  </AddSomething>
</template>
