<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useQueryClient } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { answered, api, type Design, type Score } from '@/api/client'
import { inWords } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useLedger } from '@/spools/useLedger'

/** After the last step: the verdict for the leader as it came out, beside that of the design. */
const props = defineProps<{ cameOut: string[] }>()
const emit = defineEmits<{ back: []; kept: [] }>()
const bench = useBench()
const settings = useSettings()
const queries = useQueryClient()
const router = useRouter()
const tied = shallowRef<Design | null>(null)
const measures = shallowRef<Score[]>([])
const trouble = ref('')
const ledger = useLedger()
/** Whether what was tied comes off its spools. */
const takes = ref(true)

async function workOut() {
  if (!bench.design) return
  try {
    const answer = await told(bench.design, false)
    const read = { design: answer.design, units: settings.units }
    const { evaluation } = await answered(api.POST('/api/v1/bench', { body: read }))
    tied.value = answer.design
    measures.value = evaluation.verdict
  } catch (error) {
    trouble.value = inWords(error)
  }
}

const once = useIntent()
function told(design: Design, keep: boolean) {
  const body = { design, came_out: props.cameOut, keep, units: settings.units }
  return once(body, (header) =>
    answered(api.POST('/api/v1/tying/tied', { params: { header }, body })),
  )
}

/** The true lengths go on the bench; what was planned stays behind as the ghost. */
async function keep() {
  const planned = bench.design
  if (!tied.value || !planned) return
  try {
    notify((await told(planned, true)).hand)
  } catch (error) {
    notify(inWords(error), 'trouble')
    return
  }
  await queries.invalidateQueries({ queryKey: ['tyer'] })
  await takeOff(planned)
  bench.pinGhost({ ...planned, title: `${planned.title.slice(0, 70)}, planned` })
  bench.put({ leader: tied.value.leader })
  emit('kept')
  void router.push('/')
}

const takeOff = async (design: Design) => {
  if (!takes.value) return
  await ledger.tied([{ design, count: 1, came_out: tied.value }])
}

/** It was tied all the same. */
async function leave() {
  if (bench.design) await takeOff(bench.design)
  emit('kept')
  void router.push('/tie')
}

const before = (key: string) => bench.evaluation?.verdict.find((item) => item.key === key)
onMounted(workOut)
</script>

<template>
  <section aria-label="As tied">
    <h1>Tied</h1>
    <p v-if="trouble" class="refusal" role="alert">
      {{ trouble }}
      <button class="do" type="button" @click="emit('back')">Back to that piece</button>
    </p>
    <template v-else-if="tied">
      <table>
        <thead>
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">As designed</th>
            <th scope="col">As tied</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="measure in measures" :key="measure.key">
            <th scope="row">{{ measure.title }}</th>
            <td>{{ before(measure.key)?.figure }}, {{ before(measure.key)?.status }}</td>
            <td>
              <strong>{{ measure.figure }}</strong>, {{ measure.status }}
            </td>
          </tr>
        </tbody>
      </table>
      <p class="quiet">
        Turnover is computed again on the bench. If you keep the true lengths, they replace the
        planned ones there; the plan stays as the ghost, and Undo brings it back.
      </p>
      <div class="row">
        <button class="do do--main" type="button" @click="keep">Keep the true lengths</button>
        <button class="do" type="button" @click="leave">Keep the design</button>
        <label><input v-model="takes" type="checkbox" /> Take it off the spools</label>
      </div>
    </template>
    <p v-else class="quiet" role="status">Computing the result …</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
}

table {
  border-collapse: collapse;
  font-size: 18px;
  text-align: left;
}

th,
td {
  padding: 6px 24px 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
