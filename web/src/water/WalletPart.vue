<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { saveLog } from './keepLog'
import type { DayPack } from './keep'
import { rigNow } from './rigNow'
import KnotsHere from './KnotsHere.vue'
import RigDrawing from './RigDrawing.vue'
import type { DayEvent, DayNow } from './state'
import { isFile, type Detail } from './useDay'

/** What is carried: each rig as it is now, and the way onto the line. */
const props = defineProps<{
  pack: DayPack
  now: DayNow
  silenced: Schemas['Reminder'][]
  events: DayEvent[]
}>()
const emit = defineEmits<{ note: [kind: string, detail: Detail]; wake: [key: string] }>()
const rigs = computed(() =>
  props.pack.rigs.map((rig) => ({ rig, ...rigNow(rig, props.now.rigs[rig.key]) })),
)
const fishOf = (key: string) => props.now.rigs[key]?.fish ?? 0
</script>

<template>
  <section class="part" aria-label="The wallet">
    <article v-for="{ rig, state, renew } in rigs" :key="rig.key" class="rig">
      <h2>{{ rig.title }}</h2>
      <p class="quiet">
        {{ rig.facts }}{{ rig.ready ? '' : ', to be tied' }}
        <template v-if="rig.lies"> · {{ rig.lies }}</template>
      </p>
      <RigDrawing :rig="rig" />
      <p v-if="state">
        Tippet {{ state.tippet }}; {{ state.left }}; it {{ state.hold }}.
        <template v-if="fishOf(rig.key)"> Fish: {{ fishOf(rig.key) }}.</template>
      </p>
      <p v-if="renew" class="warn">{{ renew }}</p>
      <p v-if="rig.key === now.rig"><b>On the line now.</b></p>
      <button
        v-else
        class="tap"
        type="button"
        @click="emit('note', 'changed-rig', { rig: rig.key })"
      >
        Put {{ rig.title }} on the line
      </button>
    </article>
    <KnotsHere :pack="pack" />
    <h2>Packed flies</h2>
    <p>{{ pack.flies.join(', ') }}</p>
    <template v-if="silenced.length">
      <h2>Silenced reminders</h2>
      <button
        v-for="item in silenced"
        :key="item.key"
        class="tap"
        type="button"
        @click="emit('wake', item.key)"
      >
        Remind me again: {{ item.words }}
      </button>
    </template>
    <h2>{{ isFile() ? 'Take the log home' : 'A copy of the log' }}</h2>
    <p class="quiet">
      {{
        isFile()
          ? 'Save it, and import it at the bench under Days, What happened.'
          : 'It is sent to the bench automatically when in reach; an extra copy does no harm.'
      }}
    </p>
    <button class="tap" type="button" @click="saveLog(pack, events)">Save the log as a file</button>
  </section>
</template>

<style scoped>
.rig {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  padding-bottom: 12px;
  border-bottom: 2px solid var(--line);
}
</style>
