<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import type { Schemas } from '@/api/client'
import { timeText } from '@/widgets/dayText'
import EventDetail from './EventDetail.vue'
import { eventWords } from './eventWords'
import type { DayPack } from './keep'
import type { DayEvent, DayNow } from './state'
import type { Detail } from './useDay'

/** One tap for what happened; more of it can be told, and all of it taken back. */
const props = defineProps<{
  pack: DayPack
  now: DayNow
  stop: Schemas['PackedStop']
  note: (kind: string, detail?: Detail) => Promise<DayEvent>
}>()
const emit = defineEmits<{ more: [event: DayEvent, detail: Detail]; back: [event: DayEvent] }>()
const HIDDEN = ['taken-back', 'came-to']
const kinds = computed(() => props.pack.happenings.filter((kind) => !HIDDEN.includes(kind.key)))
const told = shallowRef<DayEvent | null>(null)
const kindOf = (event: DayEvent) => props.pack.happenings.find((kind) => kind.key === event.kind)
/** The event whose form is open; one that was undone has none. */
const open = computed(() =>
  props.now.stands.some((event) => event.event_id === told.value?.event_id) ? told.value : null,
)
const openKind = computed(() => {
  const kind = open.value && kindOf(open.value)
  return kind?.details.length ? kind : undefined
})
const latest = computed(() => [...props.now.stands].reverse())

async function tap(kind: string) {
  const detail: Detail = kind === 'fish' || kind === 'missed' ? { fly: props.now.fly } : {}
  told.value = await props.note(kind, detail)
}
function more(detail: Detail) {
  if (open.value) emit('more', open.value, detail)
  told.value = null
}
</script>

<template>
  <section class="part" aria-label="What happened">
    <EventDetail
      v-if="open && openKind"
      :key="open.event_id"
      :event="open"
      :kind="openKind"
      :pack="pack"
      :stop="stop"
      @tell="more"
      @leave="told = null"
    />
    <div v-else class="grid">
      <button
        v-for="kind in kinds"
        :key="kind.key"
        class="tap big"
        type="button"
        @click="tap(kind.key)"
      >
        {{ kind.title }}
      </button>
    </div>
    <h2>Today</h2>
    <p v-if="!latest.length">Nothing yet. One tap records it; you can add details afterwards.</p>
    <ol>
      <li v-for="item in latest" :key="item.event_id">
        <span
          ><b>{{ timeText(item.at) }}</b> {{ eventWords(item, pack) }}</span
        >
        <button class="tap tap--plain" type="button" @click="emit('back', item)">
          Undo<span class="unseen">: {{ eventWords(item, pack) }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.big {
  min-height: 68px;
  text-align: center;
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  border-top: 1px solid var(--line);
}

.unseen {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
