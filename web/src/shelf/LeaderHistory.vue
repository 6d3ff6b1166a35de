<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answered, api, type LeaderCard } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useBench } from '@/bench/useBench'
import { longestOf } from '@/drawing/side'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import MiniStrip from '@/widgets/MiniStrip.vue'
import { dayText } from '@/widgets/dayText'

/** All revisions of a leader: what each changed, two of them side by side, one put back. */
const props = defineProps<{ card: LeaderCard }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const bench = useBench()
const router = useRouter()
const queries = useQueryClient()
const once = useIntent()
const path = computed(() => ({ leader_id: props.card.leader_id }))
const query = computed(() => ({ units: settings.units }))
const { refused, attempt } = useRefusal()
const { data: rows } = useQuery({
  queryKey: ['leaders', 'revisions', path, query],
  queryFn: () =>
    answered(
      api.GET('/api/v1/leaders/{leader_id}/revisions', {
        params: { path: path.value, query: query.value },
      }),
    ),
})
const longest = computed(() => longestOf(rows.value ?? []))
const newest = computed(() => rows.value?.[0]?.number ?? 0)
/** The two that are compared: numbers of revisions, the older first. */
const pair = ref<number[]>([])
const two = computed(() => [...pair.value].sort((a, b) => a - b))
const { data: differs } = useQuery({
  queryKey: ['leaders', 'differences', path, two, query],
  queryFn: () =>
    answered(
      api.GET('/api/v1/leaders/{leader_id}/differences', {
        params: {
          path: path.value,
          query: { older: two.value[0]!, other: two.value[1]!, ...query.value },
        },
      }),
    ),
  enabled: computed(() => pair.value.length === 2),
})

function choose(number: number, on: boolean) {
  pair.value = on ? [...pair.value.slice(-1), number] : pair.value.filter((item) => item !== number)
}

const designOf = async (number: number) =>
  (
    await answered(
      api.GET('/api/v1/leaders/{leader_id}/revisions/{number}', {
        params: { path: { ...path.value, number } },
      }),
    )
  ).design

const asGhost = (number: number) =>
  attempt(async () => {
    await bench.openLeader(props.card.leader_id)
    bench.pinGhost(await designOf(number))
    await router.push('/')
  })
const putBack = (number: number) =>
  attempt(async () => {
    const body = await designOf(number)
    const match = { 'if-match': `"${newest.value}"` }
    await once({ ...path.value, number, ...match }, (header) =>
      answered(
        api.POST('/api/v1/leaders/{leader_id}/revisions', {
          params: { path: path.value, header: { ...header, ...match } },
          body,
        }),
      ),
    )
    await queries.invalidateQueries({ queryKey: ['leaders'] })
    notify(`Revision ${number} is restored as revision ${newest.value}.`)
  })
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="`${card.title}: history`"
    width="min(860px, 96vw)"
    append-to-body
    top="6vh"
    @close="emit('close')"
  >
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <p v-if="rows && rows.length === 1" class="quiet">
      Saved once. Every later save is kept here too.
    </p>
    <p v-else class="quiet">Select two to compare them.</p>
    <section v-if="differs && pair.length === 2" class="differs" aria-label="Differences">
      <h3>From revision {{ two[0] }} to {{ two[1] }}</h3>
      <ul>
        <li v-for="words in differs.words" :key="words">{{ words }}</li>
      </ul>
    </section>
    <ol class="rows">
      <li v-for="row in rows" :key="row.number">
        <div class="row">
          <label>
            <input
              type="checkbox"
              :checked="pair.includes(row.number)"
              :disabled="row.damaged"
              @change="choose(row.number, ($event.target as HTMLInputElement).checked)"
            />
            <b>Revision {{ row.number }}</b>
          </label>
          <span class="quiet"
            >{{ dayText(row.saved_at) }} · {{ row.length }} to {{ row.tippet }}</span
          >
          <span class="grow" />
          <template v-if="!row.damaged && row.number !== newest">
            <button
              class="link"
              type="button"
              :aria-label="`Revision ${row.number} as ghost`"
              @click="asGhost(row.number)"
            >
              as ghost
            </button>
            <button
              class="link"
              type="button"
              :aria-label="`Put back revision ${row.number}`"
              @click="putBack(row.number)"
            >
              put back
            </button>
          </template>
        </div>
        <MiniStrip
          v-if="!row.damaged"
          :outline="row.outline"
          :hung="row.hung"
          :longest-m="longest"
        />
        <p class="quiet">{{ row.changed.join(' ') }}</p>
      </li>
    </ol>
  </el-dialog>
</template>

<style scoped>
.rows {
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}

.rows li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  padding: 9px 0;
  border-top: 1px solid var(--hair);
}

.differs {
  margin-top: 10px;
  padding: 8px 12px;
  border-left: 4px solid var(--act);
  background: var(--act-soft);
}

.differs ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
