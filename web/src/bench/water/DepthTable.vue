<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import FactList from '../FactList.vue'
import { useBench } from '../useBench'
import { useWater } from './useWater'

/** What the rig does at other paces and depths, and what to change there; worked out when asked. */
const bench = useBench()
const water = useWater()
const settings = useSettings()
const table = shallowRef<Schemas['DepthTable'] | null>(null)
const tuning = shallowRef<Schemas['Tuning'] | null>(null)
const looking = ref(false)
const refused = ref('')
const open = ref(false)
const who = `table-${crypto.randomUUID().slice(0, 8)}`
let asked = 0
const lines = computed(() =>
  (tuning.value?.lines ?? []).map(({ title, text }) => ({
    title,
    text,
    standing: 'right' as const,
  })),
)

async function work() {
  const mine = ++asked
  table.value = null
  tuning.value = null
  refused.value = ''
  if (!open.value || !bench.design) return
  looking.value = true
  const body = {
    bench: who,
    design: bench.design,
    fished: water.fished,
    slack_m: water.slack_m,
    units: settings.units,
  }
  try {
    const lines = await answered(api.POST('/api/water/tuning', { body }))
    if (mine === asked) tuning.value = lines
    const made = await answered(api.POST('/api/water/depth-table', { body }))
    if (mine === asked) table.value = made
  } catch (error) {
    if (mine === asked) refused.value = inWords(error)
  } finally {
    if (mine === asked) looking.value = false
  }
}

function stop() {
  asked += 1
  looking.value = false
  open.value = false
}

watch(() => [open.value, water.reading], work)
</script>

<template>
  <details class="table" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>Depth table: what to set and hang at other paces and depths</summary>
    <p v-if="refused" class="quiet" role="status">{{ refused }}</p>
    <FactList v-if="lines.length" :facts="lines" />
    <p v-if="looking" class="quiet" role="status">
      Fishing it at every pace …
      <button type="button" class="do" @click="stop">Stop</button>
    </p>
    <table v-if="table">
      <caption class="unseen">
        Depth by pace, and what to change
      </caption>
      <thead>
        <tr>
          <th scope="col">At the surface</th>
          <th v-for="depth in table.depths" :key="depth" scope="col" class="figure">
            in {{ depth }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in table.rows" :key="row.pace">
          <th scope="row">
            {{ row.pace }} <span class="quiet figure">{{ row.speed }}</span>
          </th>
          <td
            v-for="(cell, i) in row.cells"
            :key="i"
            class="stand"
            :class="`stand--${cell.standing.replace(' ', '-')}`"
          >
            <strong>{{ cell.figure }}</strong>
            <span class="quiet">{{ cell.change }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
summary {
  color: var(--act);
  cursor: pointer;
}

table {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
  font-size: var(--small);
}

th,
td {
  padding: 4px 8px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  vertical-align: top;
}

td.stand--too-much strong {
  color: var(--much);
}

td.stand--too-little strong {
  color: var(--little);
}

td span {
  display: block;
}
</style>
