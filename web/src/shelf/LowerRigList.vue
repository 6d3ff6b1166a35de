<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, shallowRef } from 'vue'
import { answered, api, type Design, type Evaluation, type Situation } from '@/api/client'
import { useLowerRigs } from '@/api/queries'
import { useSettings } from '@/settings/useSettings'
import { useGiving } from '@/shared/useGiving'
import { attempt } from '@/shell/attempt'
import CardPrinter from '@/tie/CardPrinter.vue'
import MiniStrip from '@/widgets/MiniStrip.vue'

/** Lower rigs kept by name: how each is cut and tied by itself, its card, and forgetting it. */
const props = defineProps<{ situation: Situation | null }>()
const settings = useSettings()
const giving = useGiving()
const queries = useQueryClient()
const { data: rigs, isSuccess } = useLowerRigs()
const open = shallowRef<{ rig_id: string; design: Design; work: Evaluation['work'] } | null>(null)
const longest = computed(() => Math.max(0.5, ...(rigs.value ?? []).map((rig) => rig.length_m)))

const show = (rig_id: string) =>
  attempt(async () => {
    if (open.value?.rig_id === rig_id || !props.situation) {
      open.value = null
      return
    }
    const asked = { params: { path: { rig_id } }, body: { situation: props.situation } }
    const design = await answered(api.POST('/api/v1/lower-rigs/{rig_id}/alone', asked))
    const body = { design, units: settings.units }
    const { evaluation } = await answered(api.POST('/api/v1/bench', { body }))
    open.value = { rig_id, design, work: evaluation.work }
  })

const forget = (rig_id: string) =>
  attempt(async () => {
    await answered(api.DELETE('/api/v1/lower-rigs/{rig_id}', { params: { path: { rig_id } } }))
    await queries.invalidateQueries({ queryKey: ['lower-rigs'] })
  })
</script>

<template>
  <section class="rigs" aria-labelledby="rigs-title">
    <h2 id="rigs-title">Lower rigs</h2>
    <p class="quiet">
      The rig below a ring or swivel, saved by name. Select a ring on the bench to save what is
      below it, or to swap it for one of these. The upper leader stays on the line.
    </p>
    <p v-if="isSuccess && !rigs?.length" class="quiet">None saved yet.</p>
    <ul>
      <li v-for="rig in rigs" :key="rig.rig_id">
        <div class="rig">
          <div>
            <h3>{{ rig.title }}</h3>
            <p class="quiet">{{ rig.words }}</p>
          </div>
          <MiniStrip :outline="rig.outline" :hung="rig.hung" :longest-m="longest" />
          <div class="row">
            <button
              class="do"
              type="button"
              :aria-expanded="open?.rig_id === rig.rig_id"
              :aria-label="`Cut and tie alone: ${rig.title}`"
              @click="show(rig.rig_id)"
            >
              Cut and tie alone
            </button>
            <button
              class="do do--plain"
              type="button"
              :aria-label="`Share: ${rig.title}`"
              @click="giving.give('rig', rig.rig_id, rig.title)"
            >
              Share
            </button>
            <button
              class="do do--plain"
              type="button"
              :aria-label="`Delete: ${rig.title}`"
              @click="forget(rig.rig_id)"
            >
              Delete
            </button>
          </div>
        </div>
        <div v-if="open?.rig_id === rig.rig_id" class="work">
          <ol>
            <li v-for="(step, i) in open.work.steps" :key="i">
              <strong>{{ step.title }}</strong> <span class="quiet">{{ step.detail }}</span>
            </li>
          </ol>
          <CardPrinter :wanted="[{ design: open.design, count: 1 }]" />
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.rigs {
  margin-top: 30px;
}

ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.rig {
  display: grid;
  grid-template-columns: minmax(240px, 2fr) minmax(200px, 3fr) auto;
  align-items: center;
  gap: 18px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

.work {
  padding: 8px 0 14px 16px;
}

.work li {
  margin-bottom: 2px;
}

@media (max-width: 820px) {
  .rig {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
