<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import KnotPractice from './KnotPractice.vue'
import KnotPulls from './KnotPulls.vue'
import KnotSteps from './KnotSteps.vue'
import OwnTies from './OwnTies.vue'

type Key = Schemas['KnotCard']['key']

/** The knots: nine to know by heart, and the rest; drawn, read up, practised. */
const settings = useSettings()
const route = useRoute()
const router = useRouter()
const units = computed(() => settings.units)
const { data: cards } = useQuery({
  queryKey: ['knots', units],
  queryFn: () => answered(api.GET('/api/v1/knots', { params: { query: { units: units.value } } })),
  placeholderData: keepPreviousData,
})
const card = computed(() => {
  const found = cards.value?.find((card) => card.key === route.params.knot)
  return found ?? cards.value?.[0]
})
const groups = computed(() => [
  { title: 'Nine to know by heart', cards: cards.value?.filter((card) => card.by_heart) ?? [] },
  { title: 'The rest', cards: cards.value?.filter((card) => !card.by_heart) ?? [] },
])
const open = (knot: Key) => router.push({ name: 'knots', params: { knot } })
</script>

<template>
  <div v-if="card" class="place knots">
    <nav class="knots__list" aria-label="Knots">
      <template v-for="group in groups" :key="group.title">
        <h2>{{ group.title }}</h2>
        <RouterLink
          v-for="item in group.cards"
          :key="item.key"
          :to="{ name: 'knots', params: { knot: item.key } }"
          :class="{ here: item.key === card.key }"
        >
          {{ item.title }}
        </RouterLink>
      </template>
      <OwnTies />
    </nav>
    <article class="knots__one">
      <h1>
        {{ card.title }} <span class="quiet">{{ card.place }}</span>
      </h1>
      <KnotSteps :knot="card.key" :title="card.title" />
      <div class="knots__below">
        <section aria-label="About this knot">
          <p>{{ card.note }}</p>
          <dl>
            <div v-for="line in card.lines" :key="line.title">
              <dt>{{ line.title }}</dt>
              <dd>{{ line.text }}</dd>
            </div>
          </dl>
          <p class="knots__caution">{{ card.caution }}</p>
        </section>
        <KnotPractice :knot="card.key" :title="card.title" @next="open" />
      </div>
      <KnotPulls :knot="card.key" />
    </article>
  </div>
  <p v-else class="place quiet" role="status">Loading the knots …</p>
</template>

<style scoped>
.knots {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 28px;
}

.knots__list {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1px;
  align-content: start;
}

.knots__list h2 {
  margin: 10px 0 4px;
  color: var(--ink-2);
  font-size: var(--small);
  font-weight: 500;
}

.knots__list a {
  padding: 4px 10px;
  border-left: 3px solid transparent;
  color: var(--ink);
  text-decoration: none;
}

.knots__list a:hover {
  background: var(--act-soft);
}

.knots__list .here {
  border-left-color: var(--act);
  font-weight: 640;
}

.knots__one {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  min-width: 0;
}

h1 .quiet {
  margin-left: 8px;
  font-size: 16px;
  font-weight: 400;
}

.knots__below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 28px;
}

dl {
  margin: 8px 0;
}

dl > div {
  display: grid;
  grid-template-columns: 74px minmax(0, 1fr);
  padding: 2px 0;
}

dt {
  color: var(--ink-2);
}

dd {
  margin: 0;
}

.knots__caution {
  padding: 4px 10px;
  border-left: 4px solid var(--doubt);
  background: var(--doubt-soft);
  font-size: var(--small);
}

@media (max-width: 820px) {
  .knots {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }

  .knots__list {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 4px;
    order: 2;
  }

  .knots__list h2 {
    flex-basis: 100%;
  }

  .knots__list a {
    min-height: 48px;
    padding: 12px 10px;
  }
}
</style>
