<script setup lang="ts">
import { dayText, timeText, withDays } from '@/widgets/dayText'
import { computed, ref, shallowRef } from 'vue'
import { useCatalogue } from '@/api/queries'
import { longestOf } from '@/drawing/side'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import kinds from '@generated/event-kinds.json'
import { option } from '@/widgets/option'
import FilePick from '@/widgets/FilePick.vue'
import MiniStrip from '@/widgets/MiniStrip.vue'
import PickOne from '@/widgets/PickOne.vue'
import PhotoSeen from './PhotoSeen.vue'
import { useDayLog, useLogActs, type LogLine } from './useLog'

/** A day as it went, along its hours; corrected and completed at the table. */
const props = defineProps<{ planId: string }>()
const emit = defineEmits<{ leave: [] }>()
const { data: day } = useDayLog(() => props.planId)
const { data: catalogue } = useCatalogue()
const acts = useLogActs()
const WIDE = 720
const HEIGHT = 84
const LEAST_MS = 3_600_000
const MARKS: Record<string, string> = { fish: 'fish', missed: 'missed', broke: 'broke' }
const longest = computed(() => longestOf(day.value?.rigs ?? []))
const span = computed(() => {
  const lines = day.value?.lines ?? []
  const first = lines[0]?.at ?? 0
  return { first, ms: Math.max(LEAST_MS, (lines.at(-1)?.at ?? 0) - first) }
})
const x = (at: number) => 10 + ((at - span.value.first) / span.value.ms) * (WIDE - 20)
const stretches = computed(() => {
  const lines = day.value?.lines ?? []
  return lines
    .filter((line, i) => line.stretch && line.stretch !== lines[i - 1]?.stretch)
    .map((line) => ({ at: line.at, title: line.stretch }))
})
const KINDS = kinds
  .filter(
    (kind) =>
      !['taken-back', 'came-to', 'changed-rig', 'moved-setting', 'level'].includes(kind.key),
  )
  .map((kind) => option(kind.key, kind.title))
const form = ref({ time: '12:00', kind: 'fish', fish: '', words: '' })
const picture = shallowRef<File | null>(null)
const kindOf = computed(() => kinds.find((kind) => kind.key === form.value.kind))
const fish = computed(() => [
  option('', 'which fish'),
  ...(catalogue.value?.fish ?? []).map((item) => option(item.key, item.title)),
])

const add = () =>
  attempt(async () => {
    if (!day.value) return
    const at = new Date(`${day.value.on}T${form.value.time}`).getTime()
    const detail = {
      ...(kindOf.value?.details.includes('fish') && form.value.fish
        ? { fish: form.value.fish as 'grayling' }
        : {}),
      ...(kindOf.value?.details.includes('words') && form.value.words
        ? { words: form.value.words }
        : {}),
    }
    const seen = kindOf.value?.details.includes('photo') ? picture.value : null
    await acts.add(props.planId, at, form.value.kind, detail, seen ?? undefined)
    form.value.words = ''
    picture.value = null
  })
const landed = computed(() => day.value?.lines.filter((line) => line.kind === 'landed').length ?? 0)
const learn = () =>
  attempt(async () => {
    const learnt = await acts.learn(props.planId)
    notify(`Your own cast now uses ${learnt} of ${landed.value} landings: see Air on the bench.`)
  })
const back = (line: LogLine) => attempt(() => acts.takeBack(props.planId, line))
</script>

<template>
  <section v-if="day" class="went" :aria-label="`${withDays(day.title)}, ${dayText(day.on)}`">
    <p class="row">
      <b class="grow"
        >{{ withDays(day.title) }}, {{ dayText(day.on) }}, {{ day.place }}. {{ day.words }}</b
      >
      <button class="do" type="button" @click="emit('leave')">All days together</button>
    </p>
    <svg
      v-if="day.lines.length"
      :viewBox="`0 0 ${WIDE} ${HEIGHT}`"
      role="img"
      :aria-label="day.words"
    >
      <line x1="10" :x2="WIDE - 10" y1="60" y2="60" class="time" />
      <g v-for="(stretch, i) in stretches" :key="stretch.at">
        <line :x1="x(stretch.at)" :x2="x(stretch.at)" y1="16" y2="68" class="time" />
        <text :x="x(stretch.at) + 3" :y="i % 2 ? 26 : 12" class="name">{{ stretch.title }}</text>
        <text :x="x(stretch.at) + 3" y="81" class="name">{{ timeText(stretch.at) }}</text>
      </g>
      <template v-for="line in day.lines" :key="line.event_id">
        <circle
          v-if="MARKS[line.kind]"
          :cx="x(line.at)"
          :cy="line.kind === 'fish' ? 46 : 60"
          :r="line.kind === 'fish' ? 6 : 4"
          :class="`mark mark--${line.kind}`"
        />
        <line v-else :x1="x(line.at)" :x2="x(line.at)" y1="56" y2="64" class="tick" />
      </template>
    </svg>
    <div v-if="day.rigs.length" class="rigs">
      <div v-for="rig in day.rigs" :key="rig.title">
        <b>{{ rig.title }}</b> <span class="quiet">{{ rig.words }}</span>
        <MiniStrip :outline="rig.outline" :hung="rig.hung" :longest-m="longest" />
      </div>
    </div>
    <ol>
      <li v-for="line in day.lines" :key="line.event_id">
        <span class="figure quiet">{{ timeText(line.at) }}</span>
        <span class="grow">
          {{ line.words }}
          <PhotoSeen v-if="line.photo" :line="line" />
        </span>
        <span class="quiet">{{
          [line.stretch, line.rig, line.level, line.light].filter(Boolean).join(' · ')
        }}</span>
        <button
          class="link"
          type="button"
          :aria-label="`Undo: ${line.words} at ${timeText(line.at)}`"
          @click="back(line)"
        >
          undo
        </button>
      </li>
    </ol>
    <p v-if="landed" class="row">
      <button class="do" type="button" @click="learn">
        Let the own cast learn from {{ landed === 1 ? 'its landing' : `its ${landed} landings` }}
      </button>
    </p>
    <form class="row" aria-label="Something not recorded on the phone" @submit.prevent="add">
      <input v-model="form.time" class="pick figure hour" type="time" aria-label="At" required />
      <PickOne v-model="form.kind" label="What happened" :options="KINDS" />
      <PickOne
        v-if="kindOf?.details.includes('fish')"
        v-model="form.fish"
        label="Which fish"
        :options="fish"
      />
      <input
        v-if="kindOf?.details.includes('words')"
        v-model="form.words"
        class="pick words"
        aria-label="Note"
        placeholder="in your words"
        maxlength="300"
      />
      <FilePick
        v-if="kindOf?.details.includes('photo')"
        accept="image/jpeg,image/png,image/webp"
        @pick="picture = $event"
      >
        {{ picture ? picture.name : 'A photo' }}
      </FilePick>
      <button class="do" type="submit">Add it</button>
    </form>
  </section>
</template>

<style scoped>
.went {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  align-content: start;
}

.rigs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 6px 24px;
}

.time {
  stroke: var(--hair-strong);
}

.tick {
  stroke: var(--ink-2);
  stroke-width: 1.5;
}

.name {
  fill: var(--ink-2);
  font-size: 12px;
}

.mark {
  fill: var(--raised);
  stroke: var(--act);
  stroke-width: 2;
}

.mark--fish {
  fill: var(--act);
}

.mark--broke {
  stroke: var(--doubt);
  stroke-width: 3;
}

ol {
  max-height: 44vh;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
  padding: 3px 0;
  border-top: 1px solid var(--hair);
}

form :deep(select) {
  width: auto;
}

.hour {
  width: 128px;
}

.words {
  width: 220px;
}
</style>
