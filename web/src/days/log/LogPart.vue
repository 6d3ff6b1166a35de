<script setup lang="ts">
import { dayText, withDays } from '@/widgets/dayText'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import FilePick from '@/widgets/FilePick.vue'
import DayLines from './DayLines.vue'
import SeasonTables from './SeasonTables.vue'
import { useLog, useLogActs } from './useLog'

/** What happened: the days as they went, and what they say together. */
const QUIET_MS = 150
const sought = ref('')
const q = refDebounced(sought, QUIET_MS)
const { data: log, isSuccess } = useLog(() => q.value)
const acts = useLogActs()
const chosen = ref('')
const open = computed(() => log.value?.days.find((day) => day.plan_id === chosen.value))

const counted = (number: number, one: string) =>
  number > 1 ? `${number} ${one}s` : number ? `one ${one}` : ''

const readIn = (file: File) =>
  attempt(async () => {
    const { events, photos } = await acts.readIn(file)
    const words = [counted(events, 'event'), counted(photos, 'photo')].filter(Boolean)
    notify(words.length ? `${words.join(' and ')} imported.` : 'Everything was already here.')
  })
</script>

<template>
  <div class="log">
    <p class="row">
      <input
        v-model="sought"
        class="pick search"
        type="search"
        aria-label="Search past days"
        placeholder="search: 5X, broke, alder, sedge …"
        maxlength="100"
      />
      <FilePick accept=".json,.zip" @pick="readIn">Import a phone’s log</FilePick>
      <a class="do" href="/api/v1/log/files/events.csv" download>As CSV</a>
      <a class="do" href="/api/v1/log/files/events.json" download>As JSON</a>
      <a class="do" href="/api/v1/photos/files/log.zip" download>With its photos</a>
    </p>
    <p v-if="isSuccess && !log?.days.length && !q" class="quiet">
      No days fished yet. Plan a day, pack it, and record what happens at the water; it is sent here
      automatically.
    </p>
    <template v-if="log && (log.days.length || q)">
      <p class="words" role="status">{{ log.season.words }}</p>
      <div class="halves">
        <nav aria-label="Days that were fished">
          <ul>
            <li v-for="day in log.days" :key="day.plan_id">
              <label :class="{ here: day.plan_id === chosen }">
                <input
                  v-model="chosen"
                  class="behind"
                  type="radio"
                  name="logged"
                  :value="day.plan_id"
                />
                <b>{{ dayText(day.on) }}</b> {{ withDays(day.title) }}
                <span class="quiet">{{ day.words }}</span>
              </label>
            </li>
          </ul>
        </nav>
        <DayLines v-if="open" :key="open.plan_id" :plan-id="open.plan_id" @leave="chosen = ''" />
        <SeasonTables v-else :season="log.season" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.search {
  width: 280px;
}

.words {
  margin: 12px 0;
  font-weight: 620;
}

.halves {
  display: grid;
  grid-template-columns: minmax(230px, 2fr) minmax(0, 5fr);
  gap: 30px;
}

ul {
  max-height: 70vh;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

nav label {
  display: block;
  padding: 7px 0 7px 10px;
  border-left: 3px solid var(--hair);
  cursor: pointer;
}

nav label.here {
  border-left-color: var(--act);
}

nav label:focus-within {
  outline: 3px solid var(--act);
}

nav .quiet {
  display: block;
}

@media (max-width: 820px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }

  ul {
    max-height: 40vh;
  }
}
</style>
