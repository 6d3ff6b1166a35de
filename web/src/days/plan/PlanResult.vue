<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Design } from '@/api/client'
import { useBench } from '@/bench/useBench'
import { longestOf } from '@/drawing/side'
import { attempt } from '@/shell/attempt'
import PackLink from './PackLink.vue'
import PlanStop from './PlanStop.vue'
import type { PlanReading } from './usePlans'

/** What a plan came to: stretch by stretch, what to tie tonight, what to pack, what to mind. */
const props = defineProps<{
  reading: PlanReading
  planId: string
  packedAt: string
  before: string[]
}>()
const bench = useBench()
const router = useRouter()
const longest = computed(() => longestOf(props.reading.stops))
const tieWords = (whole: boolean) =>
  whole ? 'tie it now' : 'tie its leader now, from the ring down'

const open = (design: Design, path: string) =>
  attempt(async () => {
    await bench.openDesign(design)
    await router.push(path)
  })
</script>

<template>
  <section class="result" aria-label="The plan">
    <p class="words" role="status">{{ reading.words }}</p>
    <PackLink :plan-id="planId" :packed-at="packedAt" />
    <ol class="stops">
      <PlanStop
        v-for="(stop, at) in reading.stops"
        :key="at"
        :stop="stop"
        :before="before[at] ?? ''"
        :longest-m="longest"
        @bench="(design) => open(design, '/')"
      />
    </ol>
    <div class="halves">
      <section aria-labelledby="tie-title">
        <h2 id="tie-title">To tie tonight</h2>
        <p>{{ reading.time }}</p>
        <ul>
          <li v-for="(item, at) in reading.tie" :key="at">
            <b>{{ item.title }}</b>
            <span class="quiet">{{ item.facts }} {{ item.for_stretches }}.</span>
            <span v-if="item.ready" class="quiet"
              >Lies ready: {{ item.lies || 'in the wallet' }}.</span
            >
            <span v-else class="row">
              <span class="quiet">{{ item.time }}</span>
              <button
                class="link"
                type="button"
                :aria-label="`${tieWords(item.whole)}: ${item.title}`"
                @click="open(item.design, '/tie/now')"
              >
                {{ tieWords(item.whole) }}
              </button>
            </span>
          </li>
        </ul>
        <template v-if="reading.cut.rows.length">
          <h3>Cut from the spools</h3>
          <ul class="cut">
            <li v-for="row in reading.cut.rows" :key="row.stock" :class="{ short: row.short }">
              {{ row.stock }}: <span class="figure">{{ row.takes }}</span> of
              <span class="figure">{{ row.left }}</span>
              <b v-if="row.short"> runs out</b>
            </li>
          </ul>
          <p class="quiet">
            {{ reading.cut.words }}
            <RouterLink to="/spools/buy">What to buy</RouterLink>
          </p>
        </template>
      </section>
      <section aria-labelledby="pack-title">
        <h2 id="pack-title">To pack</h2>
        <ul class="pack">
          <li v-for="line in reading.pack" :key="line.what">
            <label><input type="checkbox" /> {{ line.what }}</label>
            <span class="quiet">{{ line.why }}</span>
          </li>
        </ul>
        <h3>Keep in mind</h3>
        <p v-if="reading.light">{{ reading.light }}</p>
        <p>{{ reading.rules }}</p>
        <p v-for="line in reading.cautions" :key="line" class="caution">{{ line }}</p>
      </section>
    </div>
  </section>
</template>

<style scoped>
.result {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding-top: 10px;
  border-top: 2px solid var(--hair-strong);
}

.words {
  max-width: 80ch;
  font-weight: 620;
}

.stops {
  margin: 0;
  padding: 0;
  list-style: none;
}

.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 30px;
}

.halves ul {
  margin: 6px 0 12px;
  padding: 0;
  list-style: none;
}

.halves li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}

.halves .cut li {
  display: block;
}

.short {
  color: var(--doubt);
}

.pack .quiet {
  padding-left: 22px;
}

.caution {
  margin-top: 4px;
  padding-left: 10px;
  border-left: 4px solid var(--doubt);
}

@media (max-width: 820px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
