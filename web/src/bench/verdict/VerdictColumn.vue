<script setup lang="ts">
import { computed } from 'vue'
import type { CastReading, Evaluation, Score } from '@/api/client'
import { useBench } from '../useBench'
import { useWater } from '../water/useWater'
import KnotFaults from './KnotFaults.vue'
import RemedyList from './RemedyList.vue'
import { useTurnoverRemedies, useVerdictRemedies, useWaterRemedies } from './useRemedies'
import VerdictCord from './VerdictCord.vue'

const props = defineProps<{
  ghost: Evaluation | null
  ghostTitle: string
  turnover: CastReading | null
  ghostTurnover: CastReading | null
  castRefused: string
}>()
const bench = useBench()
const water = useWater()
const forTurnover = useTurnoverRemedies()
const forWater = useWaterRemedies()
const forVerdict = useVerdictRemedies()
type Remedies = 'turnover' | 'drift and depth' | 'match, hold and length'
const WORK = {
  turnover: forTurnover,
  'drift and depth': forWater,
  'match, hold and length': forVerdict,
} satisfies Record<Remedies, unknown>

interface Entry {
  measure: Score
  ghost: Score | null
  remedies: Remedies
}

const ghostOf = (key: string) => props.ghost?.verdict.find((item) => item.key === key) ?? null
const entries = computed<Entry[]>(() => {
  const found: Entry[] = []
  const add = (remedies: Remedies, measure?: Score, ghost?: Score | null) => {
    if (measure) found.push({ measure, ghost: ghost ?? null, remedies })
  }
  add('turnover', props.turnover?.turnover, props.ghostTurnover?.turnover)
  add('drift and depth', water.reading?.drift, water.ghost?.drift)
  add('drift and depth', water.reading?.depth_cord, water.ghost?.depth_cord)
  for (const measure of bench.evaluation?.verdict ?? [])
    add('match, hold and length', measure, ghostOf(measure.key))
  return found
})
const isWrong = ({ measure }: Entry) => measure.status !== 'right'
/** What is wrong stands first, in the order of the cast, the water and the leader. */
const ordered = computed(() => [
  ...entries.value.filter(isWrong),
  ...entries.value.filter((entry) => !isWrong(entry)),
])
/** Under the last that is wrong of those that are remedied together. */
function remediesUnder(entry: Entry) {
  const last = ordered.value.filter((other) => other.remedies === entry.remedies && isWrong(other))
  return last.at(-1) === entry
}
</script>

<template>
  <aside class="verdict" aria-label="The verdict">
    <h2 class="unseen">The verdict</h2>
    <p v-if="!turnover" class="quiet waiting" role="status">
      {{ castRefused || 'Turnover: working out the cast …' }}
    </p>
    <template v-for="entry in ordered" :key="entry.measure.key">
      <VerdictCord :measure="entry.measure" :ghost="entry.ghost" />
      <p v-if="entry.remedies === 'turnover' && turnover?.agreement" class="agreement">
        {{ turnover.agreement }}
      </p>
      <RemedyList v-if="remediesUnder(entry)" :what="entry.remedies" :work="WORK[entry.remedies]" />
    </template>
    <p v-if="!water.reading" class="quiet waiting" role="status">
      {{ water.refused || 'Drift: working out the water …' }}
    </p>
    <KnotFaults />
    <p v-if="ghost" class="ghost-note">
      <svg width="18" height="12" aria-hidden="true"><ellipse cx="9" cy="6" rx="7" ry="4.5" /></svg>
      hollow knots and dashes: “{{ ghostTitle }}”, on this same day
    </p>
    <slot />
  </aside>
</template>

<style scoped>
.verdict {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 9px;
}

.waiting {
  min-height: 98px;
  padding-left: 46px;
}

.agreement {
  margin: -6px 0 0 46px;
  padding-left: 8px;
  border-left: 3px solid var(--doubt);
  font-size: 14px;
}

.ghost-note {
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--ghost);
  font-size: var(--small);
}

.ghost-note svg {
  flex: none;
}

.ghost-note ellipse {
  fill: none;
  stroke: var(--ghost);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}
</style>
