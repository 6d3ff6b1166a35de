<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import HappenedPart from './HappenedPart.vue'
import HerePart from './HerePart.vue'
import { keepChoice, readChoice } from './keep'
import type { DayEvent } from './state'
import { isFile, useDay, type Detail } from './useDay'
import { useReminders } from './useReminders'
import WalletPart from './WalletPart.vue'

/** A day at the water: here, what happened, the wallet; one thumb, no signal. */
const props = defineProps<{ planId: string }>()
const day = useDay(props.planId)
const { pack, now, unsent, trouble, reached, missing } = day
const PARTS = [
  { key: 'here', words: 'Here' },
  { key: 'happened', words: 'Happened' },
  { key: 'wallet', words: 'Wallet' },
] as const
const part = ref<(typeof PARTS)[number]['key']>('here')
const night = ref(false)
const UNDO_MS = 10_000
const MEET_MS = 30_000
const last = ref<{ event: DayEvent; words: string } | null>(null)
const begun = ref(Date.now())
let fading = 0

const stop = computed(
  () =>
    pack.value?.stops.find((stop) => stop.stretch_id === now.value?.stretch) ??
    pack.value?.stops[0],
)
const reminders = useReminders(
  () => pack.value?.reminders ?? [],
  () => stop.value?.wish ?? '',
  () => now.value?.stands ?? [],
  begun,
)
const kept = computed(() => {
  if (isFile()) return `${unsent.value} in this file’s log`
  if (unsent.value) return `${unsent.value} not sent yet`
  if (reached.value === null) return 'looking for the bench …'
  return reached.value ? 'all at the bench' : 'no signal'
})

async function note(kind: string, detail: Detail = {}) {
  const event = await day.note(kind, detail)
  const words = pack.value?.happenings.find((item) => item.key === kind)?.title ?? ''
  last.value = { event, words }
  clearTimeout(fading)
  fading = window.setTimeout(() => (last.value = null), UNDO_MS)
  return event
}
async function tellMore(event: DayEvent, detail: Detail) {
  await day.tellMore(event, detail)
  last.value = null
}
async function undo() {
  if (last.value) await day.takeBack(last.value.event)
  last.value = null
}
function look() {
  night.value = !night.value
  document.documentElement.dataset['look'] = night.value ? 'night' : 'sun'
  void keepChoice('night', night.value).catch(() => undefined)
}

onMounted(async () => {
  if (await readChoice<boolean>('night').catch(() => false)) look()
  await day.open()
  const first = day.events.value[0]
  if (first) begun.value = Math.min(begun.value, first.at)
})
useEventListener(window, 'online', day.meet)
useEventListener(document, 'visibilitychange', () => document.hidden || void day.meet())
useIntervalFn(day.meet, MEET_MS)
</script>

<template>
  <div class="day">
    <header>
      <p class="kept" role="status">{{ kept }}</p>
      <button class="tap look" type="button" @click="look">{{ night ? 'Sun' : 'Night' }}</button>
    </header>
    <main>
      <p v-if="trouble" class="warn" role="alert">{{ trouble }}</p>
      <p v-if="!pack" class="part" role="status">
        {{
          missing
            ? `${missing} Without a signal you have the days this phone fetched before.`
            : 'Opening the day …'
        }}
      </p>
      <template v-else-if="now && stop">
        <section
          v-if="reminders.due.value.length && part === 'here'"
          class="part due"
          aria-label="Reminders"
        >
          <div v-for="item in reminders.due.value" :key="item.key" class="warn">
            <p>{{ item.words }}</p>
            <p class="row">
              <button class="tap" type="button" @click="reminders.done(item.key)">Done</button>
              <button class="tap tap--plain" type="button" @click="reminders.silence(item.key)">
                Not again
              </button>
            </p>
          </div>
        </section>
        <HerePart v-if="part === 'here'" :pack="pack" :now="now" :stop="stop" @note="note" />
        <HappenedPart
          v-else-if="part === 'happened'"
          :pack="pack"
          :now="now"
          :stop="stop"
          :note="note"
          @more="tellMore"
          @back="day.takeBack"
        />
        <WalletPart
          v-else
          :pack="pack"
          :now="now"
          :silenced="reminders.silenced.value"
          :events="day.events.value"
          @note="note"
          @wake="reminders.wake"
        />
      </template>
    </main>
    <div v-if="last" class="undo" role="status">
      <span>{{ last.words }}: recorded.</span>
      <button class="tap" type="button" @click="undo">Undo</button>
    </div>
    <nav aria-label="At the water">
      <button
        v-for="item in PARTS"
        :key="item.key"
        class="tap"
        :class="{ 'tap--main': part === item.key }"
        type="button"
        :aria-current="part === item.key ? 'page' : undefined"
        @click="part = item.key"
      >
        {{ item.words }}
      </button>
    </nav>
  </div>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-rows: auto 1fr auto auto;
  height: 100dvh;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 6px 14px;
  border-bottom: 2px solid var(--line);
}

.kept {
  font-size: 16px;
}

main {
  overflow-y: auto;
}

.due {
  padding-bottom: 0;
}

.row {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}

.undo {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 8px 14px;
  background: var(--act);
  color: var(--on-act);
}

.undo .tap {
  border-color: var(--on-act);
  background: var(--act);
}

nav {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px;
  padding: 8px 10px max(8px, env(safe-area-inset-bottom));
  border-top: 2px solid var(--line);
}

nav .tap {
  text-align: center;
}

/* A phone that lies on its side: all that is not the day stands beside it, under the right thumb. */
@media (orientation: landscape) and (max-height: 500px) {
  .day {
    grid-template:
      'main header' auto
      'main nav' 1fr
      'undo nav' auto / 1fr 164px;
  }

  main {
    grid-area: main;
  }

  header {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-area: header;
    gap: 6px;
    padding: 8px 10px 0;
    border-bottom: 0;
    border-left: 2px solid var(--line);
  }

  .look {
    text-align: center;
  }

  .undo {
    grid-area: undo;
  }

  nav {
    grid-template-columns: minmax(0, 1fr);
    grid-area: nav;
    align-content: end;
    border-top: 0;
    border-left: 2px solid var(--line);
  }
}
</style>
