<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { type Leader, type Schemas, type Situation } from '@/api/client'
import { useCatalogue } from '@/api/queries'
import { useToday } from '@/bench/useToday'
import { longestOf } from '@/drawing/side'
import LeaderOption from '@/widgets/LeaderOption.vue'
import SchoolProposal from './SchoolProposal.vue'

type Card = Schemas['TodayCard']

/** Every school built, cast and fished for the day: what fits first, the chosen one in full. */
const props = defineProps<{ situation: Situation | null }>()
const emit = defineEmits<{ bench: [leader: Leader, title: string] }>()
const { data: catalogue } = useCatalogue()
const WORDS: Record<Card['group'], string> = {
  'fits this day': 'Fits this day',
  'would do': 'Would do with a change or a few spools more',
  'not for this': 'Not for this',
}
const FOLDED: Card['group'] = 'not for this'

const { answer: today, refused } = useToday(() => props.situation, { keep: true })
const cards = computed(() => today.value?.cards)
const groups = computed(() =>
  (Object.keys(WORDS) as Card['group'][])
    .map((group) => ({ group, cards: (cards.value ?? []).filter((card) => card.group === group) }))
    .map(({ group, cards }) => ({
      key: group,
      title: group === FOLDED ? folded(cards.length) : WORDS[group],
      cards,
      folded: group === FOLDED,
    }))
    .filter(({ cards }) => cards.length),
)
const longest = computed(() => longestOf(cards.value ?? []))
const chosen = ref('')
const touched = ref(false)
watch(cards, (now) => {
  if (!touched.value) chosen.value = now?.[0]?.key ?? ''
})
const card = computed(() => cards.value?.find((card) => card.key === chosen.value))
const changed = computed(() => card.value?.leader && card.value.group === 'would do')
const school = computed(() =>
  catalogue.value?.schools.find((school) => school.key === chosen.value),
)

function folded(count: number) {
  return count === 1 ? 'One other doesn’t suit this day' : `${count} others don’t suit this day`
}

/** What opens at the lower edge of a list comes into sight. */
function show(event: Event) {
  const opened = event.currentTarget as HTMLDetailsElement
  if (opened.open) opened.scrollIntoView({ block: 'nearest' })
}

function choose(key: string) {
  chosen.value = key
  touched.value = true
}

function put() {
  if (card.value?.leader) emit('bench', card.value.leader, card.value.title)
}
</script>

<template>
  <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
  <div v-else class="today">
    <p v-if="!cards" class="quiet" role="status">Building, casting and fishing every school …</p>
    <div v-else class="scrolls">
      <component
        :is="group.folded ? 'details' : 'fieldset'"
        v-for="group in groups"
        :key="group.key"
        @toggle="show"
      >
        <component :is="group.folded ? 'summary' : 'legend'">{{ group.title }}</component>
        <LeaderOption
          v-for="shown in group.cards"
          :key="shown.key"
          :model-value="chosen"
          name="school"
          :value="shown.key"
          :title="shown.title"
          :measures="shown.measures"
          :outline="shown.outline"
          :hung="shown.hung"
          :longest-m="longest"
          :facts="shown.facts"
          @update:model-value="choose"
        >
          {{ shown.words }}
        </LeaderOption>
      </component>
      <p v-if="today?.buy" class="quiet">{{ today.buy }}</p>
    </div>
    <div v-if="school && situation" class="chosen scrolls">
      <h3>{{ school.title }}</h3>
      <p v-if="card && changed" class="with">
        {{ card.words }} Then everything is right: {{ card.facts }}.
        <button class="do do--main" type="button" @click="put">Put this one on the bench</button>
      </p>
      <p v-else-if="card?.group === 'not for this'" class="poor">{{ card.words }}</p>
      <component :is="changed ? 'details' : 'div'" @toggle="show">
        <summary v-if="changed">As the school ties it, without the change</summary>
        <SchoolProposal
          :key="school.key"
          :school="school"
          :situation="situation"
          @bench="(leader, title) => emit('bench', leader, title)"
        />
      </component>
    </div>
  </div>
</template>

<style scoped>
/* As high before the answer as after it: what stands below must not move under the pointer. */
.today {
  display: grid;
  grid-template-columns: minmax(300px, 5fr) minmax(0, 8fr);
  gap: 28px;
  height: max(420px, min(680px, 76vh));
}

fieldset {
  margin: 0 0 14px;
  padding: 0;
  border: 0;
}

legend,
summary {
  margin-bottom: 4px;
  padding: 0;
  font-weight: 640;
}

summary {
  cursor: pointer;
}

.chosen h3 {
  margin-bottom: 6px;
  font-size: 20px;
}

.with {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  margin-bottom: 12px;
  padding: 8px 12px;
  border-left: 3px solid var(--act);
  background: var(--act-soft);
}

.poor {
  margin-bottom: 12px;
}

@media (max-width: 820px) {
  .today {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 1fr 1fr;
    height: 150vh;
  }
}
</style>
