<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useRouter } from 'vue-router'
import { answered, api, type Schemas, type Situation } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { overhead, useCast } from '@/bench/air/useCast'
import { useBench } from '@/bench/useBench'
import { useDayAtHand } from '@/bench/useDayAtHand'
import { useAnglers } from '@/settings/useAnglers'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'

/** Days ahead: the cheapest set of things to buy with which each has a leader that serves it. */
const MOST_DAYS = 8
const SAVED = 6
const asker = `buy-${crypto.randomUUID().slice(0, 8)}`
const bench = useBench()
const router = useRouter()
const settings = useSettings()
const anglers = useAnglers()
const cast = useCast()
const { situation, sentence } = useDayAtHand()
const kept = useStorage<Record<string, Situation[]>>('nine-knots.days-ahead', {})
const mine = computed(() => anglers.front?.angler_id ?? '')
const days = computed({
  get: () => kept.value[mine.value] ?? [],
  set: (list) => (kept.value = { ...kept.value, [mine.value]: list.slice(0, MOST_DAYS) }),
})
const prices = reactive<Record<string, number>>({})
/** Prices as they are being typed; heeded when their field is left. */
const typed = reactive<Record<string, string>>({})
const same = (one: Situation, other: Situation) => JSON.stringify(one) === JSON.stringify(other)

const add = (more: Situation[]) => {
  const all = [...days.value]
  for (const one of more) if (!all.some((day) => same(day, one))) all.push(one)
  days.value = all
}
const addSaved = () =>
  attempt(async () => {
    const cards = await answered(
      api.GET('/api/v1/leaders', { params: { query: { limit: SAVED } } }),
    )
    const saved = await Promise.all(
      cards
        .filter((card) => !card.damaged)
        .map((card) =>
          answered(
            api.GET('/api/v1/leaders/{leader_id}', {
              params: { path: { leader_id: card.leader_id } },
            }),
          ),
        ),
    )
    add(saved.map((item) => item.design.situation))
  })
const drop = (at: number) => (days.value = days.value.filter((_, i) => i !== at))

const { answer, refused, share } = useAnswer(
  () =>
    days.value.length
      ? {
          bench: asker,
          days: days.value,
          stroke: overhead(cast.stroke),
          prices: { ...prices },
          units: settings.units,
        }
      : null,
  (body, { signal }) => answered(api.POST('/api/v1/today/days', { body, signal })),
  { keep: true, quiet: 300 },
)

const put = (day: Situation, card: Schemas['TodayCard']) =>
  attempt(async () => {
    if (!card.leader) return
    await bench.openDesign({ title: card.title, notes: '', situation: day, leader: card.leader })
    await router.push('/')
  })

function price(what: string) {
  const value = Number((typed[what] ?? '').replace(',', '.'))
  if (value > 0) prices[what] = Math.min(10_000, value)
  else delete prices[what]
}
</script>

<template>
  <section class="ahead" aria-labelledby="ahead-title">
    <header class="row">
      <h2 id="ahead-title" class="grow">For days ahead</h2>
      <button
        class="do"
        type="button"
        :disabled="!situation || days.length >= MOST_DAYS"
        :title="sentence"
        @click="situation && add([situation])"
      >
        Add the day on the bench
      </button>
      <button class="do" type="button" :disabled="days.length >= MOST_DAYS" @click="addSaved">
        Add the days of saved leaders
      </button>
    </header>
    <p v-if="!days.length" class="quiet">
      Add up to eight days you plan to fish. Nine Knots works out the least you need to buy so that
      every day has a suitable leader, over all schools at once.
    </p>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <p v-if="answer && days.length" class="ahead__words" role="status">{{ answer.words }}</p>
    <p v-else-if="share !== null" class="quiet" role="status">
      Building, casting and fishing every school for each day …
    </p>
    <template v-if="days.length">
      <ul v-if="answer?.buy.length" class="buys">
        <li v-for="line in answer.buy" :key="line.what">
          <b>{{ line.what }}</b>
          <span class="quiet">{{ line.words }}</span>
          <label class="quiet row"
            >price
            <input
              v-model="typed[line.what]"
              class="pick figure price"
              inputmode="decimal"
              :aria-label="`Price of ${line.what}`"
              placeholder="if known"
              @change="price(line.what)"
            />
          </label>
        </li>
      </ul>
      <ol class="days">
        <li v-for="(day, at) in days" :key="at">
          <div class="day">
            <span>
              {{ answer?.days[at]?.sentence ?? '…' }}
              <b v-if="answer?.days[at]" class="day__words">{{ answer.days[at]!.words }}</b>
            </span>
            <button
              v-if="answer?.days[at]?.card"
              class="link"
              type="button"
              :aria-label="`Put the leader of day ${at + 1} on the bench`"
              @click="put(day, answer.days[at]!.card!)"
            >
              to the bench
            </button>
            <button
              class="link"
              type="button"
              :aria-label="`Leave out day ${at + 1}`"
              @click="drop(at)"
            >
              leave out
            </button>
          </div>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.ahead {
  margin-top: 30px;
}

.ahead__words {
  margin: 8px 0;
  font-weight: 640;
}

.buys {
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}

.buys li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}

.buys li .quiet:nth-child(2) {
  flex: 1;
}

.price {
  width: 96px;
}

.days {
  margin: 0;
  padding-left: 24px;
}

.days li {
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}

.day {
  display: flex;
  align-items: baseline;
  gap: 14px;
}

.day > :first-child {
  flex: 1;
}

.day .link {
  white-space: nowrap;
}

.day__words {
  display: block;
  font-weight: 520;
}

@media print {
  .do,
  .link,
  .price {
    display: none;
  }
}
</style>
