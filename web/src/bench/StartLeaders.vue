<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { longestOf } from '@/drawing/side'
import { attempt } from '@/shell/attempt'
import CordMarks from '@/widgets/CordMarks.vue'
import MiniStrip from '@/widgets/MiniStrip.vue'
import { useBench } from './useBench'
import { useNewLeader } from './useNewLeader'
import { useToday } from './useToday'

type Card = Schemas['TodayCard']

/** The three leaders that suit the day at hand best; one click puts one on the bench. */
const MOST = 3
const bench = useBench()
const { answer: today, refused } = useToday(() => bench.situation, { keep: false })
const suiting = computed(() =>
  (today.value?.cards ?? []).filter(
    (card) => card.leader && card.group !== 'not for this' && !card.buys.length,
  ),
)
const shown = computed(() => suiting.value.slice(0, MOST))
const others = computed(() => suiting.value.length - shown.value.length)
const longest = computed(() => longestOf(shown.value))
const nearest = computed(() => today.value?.cards.find((card) => card.leader))

const { put } = useNewLeader()
const onBench = ({ leader, title }: Card) => leader && attempt(() => put(leader, title))
</script>

<template>
  <section aria-labelledby="start-leaders">
    <h2 id="start-leaders">Leaders from your spools that suit this day</h2>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <p v-else-if="!today" class="quiet" role="status">
      Building every school from your spools, casting it and fishing it …
    </p>
    <ol v-else-if="shown.length" class="leaders">
      <li v-for="card in shown" :key="card.key">
        <button
          type="button"
          class="leader"
          :aria-label="`Put ${card.title} on the bench`"
          @click="onBench(card)"
        >
          <span class="row leader__head">
            <strong>{{ card.title }}</strong>
            <span class="figure quiet">{{ card.facts }}</span>
            <span class="grow" />
            <CordMarks :measures="card.measures" />
          </span>
          <MiniStrip :outline="card.outline" :hung="card.hung" :longest-m="longest" />
          <span class="leader__words">{{ card.words }}</span>
        </button>
      </li>
    </ol>
    <p v-else role="status">
      None of the schools makes a leader for this day from your spools.
      <template v-if="!today.buy && nearest">
        Nearest is {{ nearest.title }}: {{ nearest.words }}
      </template>
      {{ today.buy }}
    </p>
    <p v-if="today">
      <RouterLink to="/shelf">{{
        others > 0
          ? `${others} more, and why the others don’t suit`
          : 'All schools, and why each fits or not'
      }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.leaders {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-width: 980px;
  margin: 10px 0;
  padding: 0;
  list-style: none;
}

.leader {
  display: block;
  width: 100%;
  padding: 10px 14px;
  border: 1px solid var(--hair-strong);
  border-left: 3px solid var(--act);
  border-radius: var(--radius);
  background: var(--raised);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}

.leader:hover {
  background: var(--act-soft);
}

.leader__head {
  flex-wrap: wrap;
}

.leader__words {
  color: var(--ink-2);
}
</style>
