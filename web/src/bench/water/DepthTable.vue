<script setup lang="ts">
import { computed, ref } from 'vue'
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import JobProgress from '@/widgets/JobProgress.vue'
import TypedField from '@/widgets/TypedField.vue'
import FactList from '../FactList.vue'
import { useBench } from '../useBench'
import { useWater } from './useWater'

/** What the rig does at other paces and depths, and what to change there; worked out when asked. */
const bench = useBench()
const water = useWater()
const settings = useSettings()
const open = ref(false)
const depths = ref('')
const who = `table-${crypto.randomUUID().slice(0, 8)}`

function question() {
  if (!open.value || !bench.design || !water.fresh) return null
  const { fished, slack_m } = water
  return { design: bench.design, fished, slack_m, units: settings.units }
}

const tuning = useAnswer(question, (asked, waiting) =>
  job('/api/v1/water/tuning', { bench: who, ...asked }, waiting),
)
const table = useAnswer(
  () => {
    const asked = question()
    return asked && { ...asked, depths: depths.value }
  },
  (asked, waiting) => job('/api/v1/water/depth-table', { bench: who, ...asked }, waiting),
)
const refused = computed(() => tuning.refused.value || table.refused.value)
const working = computed(() => table.share.value ?? tuning.share.value)
const stopped = computed(() => table.stopped.value || tuning.stopped.value)
const rows = table.answer
const lines = computed(() =>
  (tuning.answer.value?.lines ?? []).map(({ title, text }) => ({
    title,
    text,
    status: 'right' as const,
  })),
)

function name(text: string) {
  depths.value = text
  return Promise.resolve()
}

function stopBoth() {
  tuning.stop()
  table.stop()
}

function workAfterAll() {
  if (tuning.stopped.value) tuning.again()
  if (table.stopped.value) table.again()
}
</script>

<template>
  <details class="table" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>Depth table: what to set and hang at other paces and depths</summary>
    <TypedField
      class="table__depths"
      :model-value="depths"
      :take="name"
      label="Depths (empty: around today's)"
      :hint="settings.units === 'metric' ? '60 cm, 90 cm, 1.5 m' : '2 ft, 3 ft, 5 ft'"
    />
    <p v-if="refused" class="refusal" role="status">{{ refused }}</p>
    <FactList v-if="lines.length" :facts="lines" />
    <JobProgress
      v-if="working !== null"
      :share="working"
      words="Fishing it at every pace …"
      @stop="stopBoth"
    />
    <p v-else-if="stopped" class="quiet" role="status">
      Stopped.
      <button type="button" class="do" @click="workAfterAll">Compute it anyway</button>
    </p>
    <p v-else-if="rows?.cut_short" class="row" role="status">
      <span>{{ rows.cut_short }}</span>
      <button type="button" class="do" @click="table.again">Go on</button>
    </p>
    <table v-if="rows">
      <caption class="unseen">
        Depth by pace, and what to change
      </caption>
      <thead>
        <tr>
          <th scope="col">At the surface</th>
          <th v-for="depth in rows.depths" :key="depth" scope="col" class="figure">
            in {{ depth }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows.rows" :key="row.pace">
          <th scope="row">
            {{ row.pace }} <span class="quiet figure">{{ row.speed }}</span>
          </th>
          <td
            v-for="(cell, i) in row.cells"
            :key="i"
            class="stand"
            :class="cell.status && `stand--${cell.status.replace(' ', '-')}`"
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

.table__depths {
  max-width: 320px;
  margin: 6px 0;
}

td span {
  display: block;
}
</style>
