<script setup lang="ts">
import { computed } from 'vue'
import EmptyBench from '@/bench/EmptyBench.vue'
import { useBench } from '@/bench/useBench'
import { sentenceText } from '@/bench/sentence/sentenceText'
import MiniStrip from '@/widgets/MiniStrip.vue'
import BatchPanel from './BatchPanel.vue'
import CardPrinter from './CardPrinter.vue'
import CutList from './CutList.vue'
import TakeOff from './TakeOff.vue'
import TyerLine from './TyerLine.vue'
import './print.css'

const bench = useBench()
const work = computed(() => bench.evaluation?.work)
</script>

<template>
  <div v-if="bench.design && bench.evaluation && work" class="place tie">
    <header class="row tie__head">
      <div class="grow">
        <h1>{{ bench.design.title }}</h1>
        <p class="quiet">
          {{ bench.evaluation.length.text }} in {{ bench.evaluation.pieces.length }}
          {{ bench.evaluation.pieces.length === 1 ? 'piece' : 'pieces' }}
          <span v-if="bench.changedSinceSaved" class="screen-only">
            · as on the bench, not saved
          </span>
        </p>
      </div>
      <div class="row screen-only">
        <CardPrinter :wanted="[{ design: bench.design, count: 1 }]" />
        <RouterLink class="do do--main" to="/tie/now">Tie it now, step by step</RouterLink>
      </div>
    </header>
    <p class="tie__day">{{ sentenceText(bench.evaluation.sentence) }}</p>
    <MiniStrip
      :outline="bench.evaluation.outline"
      :hung="bench.evaluation.hung"
      :longest-m="bench.evaluation.length.si"
    />
    <div class="tie__body">
      <section aria-labelledby="cut-title">
        <h2 id="cut-title">Cut</h2>
        <CutList :rows="work.rows" />
        <TyerLine class="screen-only" />
        <TakeOff class="screen-only" />
        <p v-if="bench.design.notes" class="tie__notes">{{ bench.design.notes }}</p>
        <section class="cautions" aria-label="Hazards">
          <p v-for="caution in work.cautions" :key="caution">{{ caution }}</p>
        </section>
      </section>
      <section aria-labelledby="order-title">
        <h2 id="order-title">Tie, in this order</h2>
        <ol class="steps">
          <li v-for="(step, i) in work.steps" :key="i" :class="`step step--${step.kind}`">
            <strong>{{ step.title }}</strong>
            <span>{{ step.detail }}</span>
          </li>
        </ol>
      </section>
    </div>
    <BatchPanel class="screen-only" />
  </div>
  <EmptyBench v-else-if="bench.ready" />
</template>

<style scoped>
.tie__head {
  align-items: flex-end;
}

.tie__day {
  margin: 8px 0 6px;
  color: var(--ink-2);
  font-style: italic;
}

.tie__body {
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr);
  gap: 36px;
  margin-top: 14px;
}

.tie__notes {
  margin-top: 14px;
}

.cautions {
  margin-top: 16px;
  padding-left: 12px;
  border-left: 4px solid var(--doubt);
  font-size: 14px;
}

.cautions p + p {
  margin-top: 4px;
}

.steps {
  margin: 8px 0 0;
  padding-left: 30px;
}

.step {
  padding: 6px 0 6px 4px;
  break-inside: avoid;
}

.step::marker {
  color: var(--act);
  font-family: var(--figures);
}

.step strong {
  display: block;
  font-size: 17px;
}

.step span {
  color: var(--ink-2);
  font-size: 14px;
}

@media screen and (max-width: 820px) {
  .tie__body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
