<script setup lang="ts">
import { computed } from 'vue'
import { longestOf } from '@/drawing/side'
import MiniStrip from '@/widgets/MiniStrip.vue'
import type { FoundCard } from './useFind'

/** The chosen leader: why this one, what it gives up, and those that are pinned beside it. */
const props = defineProps<{
  card: FoundCard
  number: number
  pinned: { card: FoundCard; number: number }[]
  isPinned: boolean
  working: boolean
}>()
const emit = defineEmits<{ bench: []; pin: [] }>()
const beside = computed(() => [
  { card: props.card, number: props.number },
  ...props.pinned.filter((item) => item.number !== props.number),
])
const longest = computed(() => longestOf(beside.value.map(({ card }) => card)))
</script>

<template>
  <article class="leader" aria-live="polite">
    <div class="row">
      <h2>{{ number + 1 }} · {{ card.title }}</h2>
      <span class="grow" />
      <button class="do" type="button" :aria-pressed="isPinned" @click="emit('pin')">
        {{ isPinned ? 'Unpin' : 'Pin' }}
      </button>
      <button class="do do--main" type="button" @click="emit('bench')">Put on the bench</button>
    </div>
    <div
      v-for="item in beside"
      :key="item.number"
      class="strip"
      :class="{ 'strip--pinned': item.number !== number }"
    >
      <span v-if="beside.length > 1" class="figure quiet">{{ item.number + 1 }}</span>
      <MiniStrip :outline="item.card.outline" :hung="item.card.hung" :longest-m="longest" />
    </div>
    <dl class="reasons">
      <dt>Why this one</dt>
      <dd>{{ card.why }}</dd>
      <dt>What you give up</dt>
      <dd>{{ card.gives_up }}</dd>
      <template v-if="card.chance || working">
        <dt>How sure</dt>
        <dd>{{ card.chance || 'Not worked out yet: it comes last.' }}</dd>
      </template>
      <dt>Nearest school</dt>
      <dd>{{ card.nearest_school }}</dd>
    </dl>
    <slot />
    <dl v-if="beside.length === 1" class="facts">
      <div v-for="measure in card.measures" :key="measure.key">
        <dt>{{ measure.title }}</dt>
        <dd>{{ measure.figure }}</dd>
      </div>
    </dl>
    <table v-else>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">What</span></th>
          <th v-for="item in beside" :key="item.number" scope="col">{{ item.number + 1 }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(measure, row) in card.measures" :key="measure.key">
          <th scope="row">{{ measure.title }}</th>
          <td v-for="item in beside" :key="item.number">{{ item.card.measures[row]?.figure }}</td>
        </tr>
      </tbody>
    </table>
  </article>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 6px;
}

.strip--pinned {
  opacity: 0.6;
}

.reasons {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 3px 14px;
  margin: 8px 0 10px;
}

.facts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 20px;
  margin: 8px 0 0;
}

.facts div {
  display: grid;
  grid-template-columns: 80px minmax(0, 1fr);
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}

dt {
  color: var(--ink-2);
}

dd {
  margin: 0;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 3px 8px 3px 0;
  border-bottom: 1px solid var(--hair);
  font-weight: 400;
  text-align: left;
}

tbody th {
  color: var(--ink-2);
}

[aria-pressed='true'] {
  border-color: var(--ghost);
}
</style>
