<script setup lang="ts">
import { dayText } from '@/widgets/dayText'
import OwnFigure from './OwnFigure.vue'
import { useOwnCast, type Landed } from './useOwnCast'

/** How the leader really landed, and what such landings have taught of the angler's cast. */
const { own, busy, tell, forget } = useOwnCast()
const LANDINGS: { landed: Landed; words: string }[] = [
  { landed: 'piled up', words: 'It piled up' },
  { landed: 'soft', words: 'It landed softly' },
  { landed: 'straight', words: 'It lay straight' },
  { landed: 'slammed', words: 'It slammed' },
]
</script>

<template>
  <section v-if="own" class="own" aria-label="Your own cast">
    <div class="row own__ask">
      <span>Cast like this on the water, how did it land?</span>
      <button
        v-for="landing in LANDINGS"
        :key="landing.landed"
        class="do"
        type="button"
        :disabled="busy"
        @click="tell(landing.landed)"
      >
        {{ landing.words }}
      </button>
    </div>
    <details class="own__known">
      <summary>{{ own.reading.words }}</summary>
      <OwnFigure v-for="figure in own.reading.figures" :key="figure.title" :figure="figure" />
      <p class="quiet">
        The hollow bar is the typical caster, the filled one is you: the knot marks the most likely
        value, the bar two chances in three. Speeds are the fly's as the leader opens.
      </p>
      <table v-if="own.landings.length" class="own__landings">
        <thead>
          <tr>
            <th>Day</th>
            <th>Leader and fly</th>
            <th>Thrown</th>
            <th>Landed</th>
            <th>Expected now</th>
            <th><span class="unseen">Delete</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="item in own.landings" :key="item.landing_id">
            <td class="figure">{{ dayText(item.day) }}</td>
            <td>{{ item.leader }}, {{ item.fly }}</td>
            <td>{{ item.stroke }}</td>
            <td>
              <strong>{{ item.landed }}</strong>
            </td>
            <td>{{ item.expected }}</td>
            <td>
              <button
                class="do do--plain"
                type="button"
                :disabled="busy"
                :aria-label="`Delete the landing of ${item.leader} on ${dayText(item.day)}`"
                @click="forget(item.landing_id)"
              >
                Delete
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="quiet">
        Fish a leader, then record here how it landed. A few landings are enough.
      </p>
    </details>
  </section>
</template>

<style scoped>
.own {
  padding-top: 6px;
  border-top: 1px solid var(--hair);
}

.own__ask {
  flex-wrap: wrap;
  row-gap: 4px;
}

.own__known {
  margin-top: 4px;
}

summary {
  color: var(--ink-2);
  font-size: var(--small);
  cursor: pointer;
}

.own__landings {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
  font-size: var(--small);
  text-align: left;
}

th {
  color: var(--ink-2);
  font-weight: normal;
}

th,
td {
  padding: 2px 10px 2px 0;
}
</style>
