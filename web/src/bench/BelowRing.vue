<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api } from '@/api/client'
import { useLowerRigs } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import { useBench } from './useBench'

/** What hangs below a ring or swivel: kept by name, or swapped for another that is kept. */
const props = defineProps<{ joint: number }>()
const bench = useBench()
const settings = useSettings()
const queries = useQueryClient()
const { data: rigs } = useLowerRigs()
const title = ref('')
const NONE = ''
const others = computed(() => [
  option(NONE, 'choose one …'),
  ...(rigs.value ?? []).map((rig) => option(rig.rig_id, `${rig.title} (${rig.words})`)),
])

const keep = () =>
  attempt(async () => {
    if (!bench.design) return
    const { joint } = props
    const body = { title: title.value, design: bench.design, joint, units: settings.units }
    const kept = await answered(api.POST('/api/v1/lower-rigs', { body }))
    await queries.invalidateQueries({ queryKey: ['lower-rigs'] })
    notify(`“${kept.title}” is kept: it can be swapped in here and on every leader with a ring.`)
    title.value = ''
  })

const swap = (rig_id: string) =>
  attempt(async () => {
    if (!bench.design || rig_id === NONE) return
    const asked = {
      params: { path: { rig_id } },
      body: { design: bench.design, joint: props.joint },
    }
    const { leader, situation } = await answered(
      api.POST('/api/v1/lower-rigs/{rig_id}/swap', asked),
    )
    bench.put({ leader, situation })
  })
</script>

<template>
  <div class="row below">
    <label class="quiet">
      Swap what hangs below for
      <PickOne :options="others" :model-value="NONE" @update:model-value="swap" />
    </label>
    <form class="row" @submit.prevent="keep">
      <label class="quiet">
        or keep it as
        <input v-model="title" maxlength="80" placeholder="riffle" />
      </label>
      <button class="do" type="submit">Keep</button>
    </form>
  </div>
</template>

<style scoped>
.below {
  flex-wrap: wrap;
  gap: 6px 14px;
}

label {
  display: flex;
  align-items: center;
  gap: 6px;
}

.pick {
  width: 250px;
}

input {
  width: 120px;
  min-height: 32px;
  padding: 0 8px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
}
</style>
