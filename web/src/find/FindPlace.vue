<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import SituationSentence from '@/bench/sentence/SituationSentence.vue'
import { useBench } from '@/bench/useBench'
import DoOrWhyNot from '@/widgets/DoOrWhyNot.vue'
import JobProgress from '@/widgets/JobProgress.vue'
import { attempt } from '@/shell/attempt'
import FindPicture from './FindPicture.vue'
import FindSentence from './FindSentence.vue'
import FoundLeader from './FoundLeader.vue'
import FoundList from './FoundList.vue'
import { useFind, type FoundCard } from './useFind'
import { useSaveFound } from './useSaveFound'

/** Find me a leader: the day, what is asked of it, and what was found. */
const MOST_PINNED = 2
const find = useFind()
const bench = useBench()
const router = useRouter()
const { saving, save } = useSaveFound()
const chosen = ref(0)
const pinned = ref<number[]>([])
const cards = computed<FoundCard[]>(() => find.reading?.cards ?? [])
const card = computed(() => cards.value[chosen.value])
const pinnedCards = computed(() =>
  pinned.value.flatMap((number) => {
    const card = cards.value[number]
    return card ? [{ card, number }] : []
  }),
)
const impossible = computed(() => find.said?.impossible ?? [])
const whyNot = computed(() => find.notYet || find.unsaid || impossible.value.join(' '))
const working = computed(() => find.share !== null)

watch(
  () => find.share,
  (now, before) => {
    if (now === 0 && before === null) {
      chosen.value = 0
      pinned.value = []
    }
  },
)
watch(cards, (now) => {
  if (chosen.value >= now.length) chosen.value = 0
})

function pin() {
  const held = pinned.value.filter((item) => item !== chosen.value)
  pinned.value =
    held.length < pinned.value.length ? held : [...held, chosen.value].slice(-MOST_PINNED)
}

const put = () =>
  attempt(async () => {
    const day = find.reading?.situation
    if (!card.value || !day) return
    const { leader, title } = card.value
    await bench.openDesign({ title, notes: card.value.why, situation: day, leader })
    const beside = pinnedCards.value.find(({ number }) => number !== chosen.value)
    if (beside)
      bench.pinGhost({
        title: beside.card.title,
        notes: '',
        situation: day,
        leader: beside.card.leader,
      })
    await router.push('/')
  })
</script>

<template>
  <div class="place">
    <h1 class="unseen">Find me a leader</h1>
    <SituationSentence />
    <FindSentence class="asked" />
    <p v-if="find.unsaid" class="refusal" role="alert">{{ find.unsaid }}</p>
    <p v-for="reason in impossible" :key="reason" class="refusal" role="alert">{{ reason }}</p>
    <div class="row acts">
      <JobProgress
        v-if="working"
        :share="find.share ?? 0"
        :words="find.reading?.so_far ?? 'Building the schools …'"
        @stop="find.stop"
      />
      <template v-else>
        <DoOrWhyNot class="do--main" :why-not="whyNot" @act="find.find">
          {{ find.reading ? 'Find again' : 'Find' }}
        </DoOrWhyNot>
        <span v-if="find.reading" class="quiet" role="status">
          {{ find.stopped ? 'Stopped: ' : '' }}{{ find.reading.so_far }}
          {{ find.fresh ? '' : 'The day or the search has changed since.' }}
        </span>
        <span v-else class="quiet">
          About three hundred leaders are built from your spools, cast with your stroke and fished.
          It takes about half a minute; the first appear in a few seconds.
        </span>
      </template>
      <span class="grow" />
      <button
        v-if="!working && cards.length && !find.reading?.in_the_way.length"
        class="do"
        type="button"
        :disabled="saving"
        @click="save(cards, find.reading!.situation)"
      >
        {{ cards.length === 1 ? 'Save it' : `Save all ${cards.length}` }}
      </button>
    </div>
    <p v-if="find.refused" class="refusal" role="alert">{{ find.refused }}</p>
    <p v-if="find.reading?.cut_short && !working" class="cut row" role="status">
      <span>{{ find.reading.cut_short }} These are the best so far.</span>
      <button v-if="find.fresh" class="do" type="button" @click="find.goOn">Go on searching</button>
    </p>
    <div v-if="find.reading?.in_the_way.length" class="in-the-way" role="status">
      <p v-for="sentence in find.reading.in_the_way" :key="sentence">{{ sentence }}</p>
    </div>
    <ul v-if="!find.reading && !working" class="comes">
      <li>
        Up to a dozen truly different leaders, the balanced one first, each drawn to scale and
        judged as on the bench.
      </li>
      <li>Why this one, what you give up for it, and how often it opens as you tie and throw.</li>
      <li>If nothing meets every demand: what comes closest, and which demand to relax.</li>
    </ul>
    <p v-if="find.reading?.to_buy" class="buy">{{ find.reading.to_buy }}</p>
    <div v-if="card" class="answer">
      <div class="scrolls">
        <FoundList v-model="chosen" :cards="cards" :pinned="pinned" @pin="pin" @bench="put" />
      </div>
      <FoundLeader
        class="scrolls"
        :card="card"
        :number="chosen"
        :pinned="pinnedCards"
        :is-pinned="pinned.includes(chosen)"
        :working="working"
        @bench="put"
        @pin="pin"
      >
        <FindPicture
          v-if="find.reading?.picture"
          :picture="find.reading.picture"
          :chosen="chosen"
          :pinned="pinned"
          @choose="(number) => (chosen = number)"
        />
      </FoundLeader>
    </div>
  </div>
</template>

<style scoped>
.asked {
  margin-top: 6px;
}

.acts {
  min-height: 40px;
  margin: 10px 0;
}

.buy {
  margin-bottom: 10px;
  color: var(--ink-2);
}

.comes {
  max-width: 640px;
  margin: 18px 0;
  padding-left: 20px;
  color: var(--ink-2);
}

.comes li {
  margin-bottom: 6px;
}

.cut {
  margin-bottom: 10px;
}

.in-the-way {
  margin-bottom: 12px;
  padding: 8px 12px;
  border-left: 3px solid var(--doubt);
  background: var(--doubt-soft);
}

.answer {
  display: grid;
  grid-template-columns: minmax(300px, 5fr) minmax(0, 7fr);
  gap: 26px;
  height: max(420px, calc(100vh - 286px));
}

@media (max-width: 820px) {
  .answer {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  .answer > :last-child {
    grid-row: 1;
  }
}
</style>
