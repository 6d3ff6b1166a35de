<script setup lang="ts">
import { computed } from 'vue'
import type { CastReading, Evaluation } from '@/api/client'
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
const measures = computed(() => bench.evaluation?.verdict ?? [])
const ghostOf = (key: string) => props.ghost?.verdict.find((item) => item.key === key) ?? null
</script>

<template>
  <aside class="verdict" aria-label="The verdict">
    <h2 class="unseen">The verdict</h2>
    <VerdictCord
      v-if="turnover"
      :measure="turnover.turnover"
      :ghost="ghostTurnover?.turnover ?? null"
    />
    <p v-else class="quiet waiting" role="status">
      {{ castRefused || 'Turnover: working out the cast …' }}
    </p>
    <p v-if="turnover?.agreement" class="agreement">{{ turnover.agreement }}</p>
    <RemedyList v-if="turnover" what="turnover" :work="forTurnover" />
    <template v-if="water.reading">
      <VerdictCord :measure="water.reading.drift" :ghost="water.ghost?.drift ?? null" />
      <VerdictCord :measure="water.reading.depth_cord" :ghost="water.ghost?.depth_cord ?? null" />
      <RemedyList what="drift and depth" :work="forWater" />
    </template>
    <p v-else class="quiet waiting" role="status">
      {{ water.refused || 'Drift: working out the water …' }}
    </p>
    <VerdictCord
      v-for="measure in measures"
      :key="measure.key"
      :measure="measure"
      :ghost="ghostOf(measure.key)"
    />
    <RemedyList what="match, hold and length" :work="forVerdict" />
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
