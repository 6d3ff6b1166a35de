<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** What the days say: counts, and a bar as long as the doubt is. */
const props = defineProps<{ season: Schemas['Season'] }>()
const WIDE = 160
const most = () =>
  Math.max(1, ...props.season.breaks.map((breakage) => Math.max(breakage.high, breakage.seen)))
</script>

<template>
  <div class="season">
    <section aria-labelledby="breaks-title">
      <h2 id="breaks-title">Where it broke, and where Hold expected it</h2>
      <p>{{ season.break_words }}</p>
      <table v-if="season.breaks.length">
        <tbody>
          <tr v-for="breakage in season.breaks" :key="breakage.place">
            <th scope="row">{{ breakage.place }}</th>
            <td>
              <svg :viewBox="`0 0 ${WIDE} 22`" :width="WIDE" height="22" aria-hidden="true">
                <line
                  :x1="(breakage.low / most()) * (WIDE - 12) + 6"
                  :x2="(breakage.high / most()) * (WIDE - 12) + 6"
                  y1="11"
                  y2="11"
                  class="band"
                />
                <circle
                  :cx="(breakage.seen / most()) * (WIDE - 12) + 6"
                  cy="11"
                  r="5"
                  :class="breakage.odd ? 'seen seen--odd' : 'seen'"
                />
              </svg>
            </td>
            <td>{{ breakage.words }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-for="table in season.tables" :key="table.title" :aria-label="table.title">
      <h2>{{ table.title }}</h2>
      <table>
        <tbody>
          <tr v-for="row in table.rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td>
              <svg :viewBox="`0 0 ${WIDE} 22`" :width="WIDE" height="22" aria-hidden="true">
                <line x1="2" :x2="WIDE - 2" y1="11" y2="11" class="scale" />
                <template v-if="row.low !== null && row.high !== null && row.middle !== null">
                  <line :x1="row.low * WIDE" :x2="row.high * WIDE" y1="11" y2="11" class="band" />
                  <circle :cx="row.middle * WIDE" cy="11" r="4" class="seen" />
                </template>
              </svg>
            </td>
            <td>
              {{ row.counts }} <span class="quiet">{{ row.share }}</span>
            </td>
            <td class="quiet">{{ row.hourly }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <p class="quiet">
      Each bar shows the likely share of takes landed (80 % interval). It needs at least four takes.
    </p>
  </div>
</template>

<style scoped>
.season {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  align-content: start;
}

table {
  width: 100%;
  margin-top: 4px;
  border-collapse: collapse;
}

th,
td {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--hair);
  font-weight: 400;
  text-align: left;
  vertical-align: middle;
}

th {
  width: 30%;
}

svg {
  display: block;
}

.scale {
  stroke: var(--hair-strong);
}

.band {
  stroke: var(--ghost);
  stroke-width: 7;
  stroke-linecap: round;
  stroke-opacity: 0.5;
}

.seen {
  fill: var(--act);
}

.seen--odd {
  fill: var(--doubt);
  stroke: var(--ink);
  stroke-width: 2;
}

@media (max-width: 820px) {
  tr {
    display: block;
    padding: 6px 0;
    border-top: 1px solid var(--hair);
  }

  th,
  td {
    display: block;
    width: auto;
    padding: 1px 0;
    border: 0;
  }

  th {
    font-weight: 620;
  }
}
</style>
