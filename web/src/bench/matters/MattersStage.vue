<script setup lang="ts">
import { job } from '@/api/job'
import { useAnswer } from '@/api/useAnswer'
import { useSettings } from '@/settings/useSettings'
import JobAnswer from '@/widgets/JobAnswer.vue'
import { overhead, useCast } from '../air/useCast'
import FactList from '../FactList.vue'
import type { Axis } from '../strip/useAxis'
import { useBench } from '../useBench'
import MattersLane from './MattersLane.vue'
import ReachFact from './ReachFact.vue'
import WhatIf from './WhatIf.vue'

/** How sure the verdict is and what matters: each length and thickness changed a little and cast. */
defineProps<{ axis: Axis }>()
const bench = useBench()
const cast = useCast()
const settings = useSettings()
const who = `matters-${crypto.randomUUID().slice(0, 8)}`
const { answer, share, refused, stopped, stop, again } = useAnswer(
  () =>
    bench.design
      ? { design: bench.design, stroke: overhead(cast.stroke), units: settings.units }
      : null,
  (body, waiting) => job('/api/v1/sensitivity', { bench: who, ...body }, waiting),
  { quiet: 300, keep: true },
)
</script>

<template>
  <section class="matters" aria-label="How sure it is, and what matters">
    <WhatIf />
    <JobAnswer
      :share="share"
      words="Changing one thing after another …"
      :stopped="stopped"
      :refused="refused"
      @stop="stop"
      @again="again"
    >
      <template v-if="answer">
        <FactList :facts="answer.facts" />
        <p class="matters__settle">{{ answer.settle }}</p>
      </template>
    </JobAnswer>
    <ReachFact />
    <template v-if="answer && !refused">
      <MattersLane :axis="axis" :pieces="answer.pieces" :changes="answer.changes" />
      <p>{{ answer.most }}</p>
      <h3>Where the uncertainty comes from</h3>
      <ul class="doubts">
        <li v-for="doubt in answer.doubts" :key="doubt.title">
          <span>{{ doubt.title }}</span>
          <span class="doubts__bar" aria-hidden="true">
            <span :style="{ width: `${100 * doubt.share}%` }" />
          </span>
          <span class="figure">{{ doubt.text }}</span>
          <span class="quiet">{{ doubt.settle }}</span>
        </li>
      </ul>
      <p class="quiet">{{ answer.supposed }}</p>
    </template>
  </section>
</template>

<style scoped>
.matters {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  align-content: start;
}

.matters__settle {
  font-size: 17px;
}

h3 {
  margin-top: 6px;
  font-size: 15px;
}

.doubts {
  margin: 0;
  padding: 0;
  list-style: none;
}

.doubts li {
  display: grid;
  grid-template-columns: 230px 120px 90px minmax(0, 1fr);
  align-items: center;
  gap: 10px;
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}

.doubts__bar {
  height: 8px;
  background: var(--hair);
}

.doubts__bar > span {
  display: block;
  height: 100%;
  background: var(--doubt);
}

@media (max-width: 820px) {
  .doubts li {
    grid-template-columns: minmax(0, 1fr) 60px;
  }

  .doubts__bar {
    display: none;
  }
}
</style>
