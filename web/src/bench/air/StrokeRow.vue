<script setup lang="ts">
import { computed } from 'vue'
import { useCatalogue } from '@/api/queries'
import { option } from '@/widgets/option'
import PickOne from '@/widgets/PickOne.vue'
import { useCast } from './useCast'
import { useOwnCast } from './useOwnCast'

const TYPED = 'typed'

/** How it is thrown: speed, line out, loop, and a gust to try it against. */
const cast = useCast()
const { data: catalogue } = useCatalogue()
const { own } = useOwnCast()
const words = computed(() => catalogue.value?.casts.map((cast) => cast.key) ?? [])
const typed = computed(() => !words.value.includes(cast.stroke.speed))
const speeds = computed(() => [
  ...words.value.map((word) => option(word, `${word}, ${own.value?.speeds[word] ?? ''}`)),
  option(TYPED, 'a line speed of …'),
])
const linesOut = computed(() => [
  option('', 'usual'),
  ...(catalogue.value?.lines_out ?? []).map(({ key, title }) => option(key, title)),
])
const loops = computed(() =>
  (catalogue.value?.loops ?? []).map(({ key, title, note }) =>
    option(title === 'usual' ? '' : key, `${title}, ${note}`),
  ),
)
const gusts = computed(() => [
  option('', 'none'),
  ...(catalogue.value?.gusts ?? []).map(({ key, title }) => option(key, title)),
])
/** A reach or a curve leaves the plane that a cast is followed in. */
const LAID = [
  option('flat' as const, 'straight (reach and curve casts are not modelled)'),
  option('drop' as const, 'stop and drop, for slack'),
]
const FROM = [
  option('in the face' as const, 'in the face'),
  option('behind' as const, 'from behind'),
]

function pickSpeed(picked: string) {
  cast.stroke.speed = picked === TYPED ? (own.value?.speeds.normal ?? 'normal') : picked
}
</script>

<template>
  <div class="row stroke">
    <label class="quiet">
      Stroke
      <PickOne
        :options="speeds"
        :model-value="typed ? TYPED : cast.stroke.speed"
        @update:model-value="pickSpeed"
      />
    </label>
    <input
      v-if="typed"
      v-model.lazy.trim="cast.stroke.speed"
      class="pick stroke__speed figure"
      aria-label="Line speed"
      autocomplete="off"
    />
    <label class="quiet">
      Line out
      <PickOne v-model="cast.stroke.line_out" :options="linesOut" />
    </label>
    <label class="quiet">
      Loop
      <PickOne v-model="cast.stroke.loop" :options="loops" />
    </label>
    <label class="quiet">
      Laid down
      <PickOne
        :options="LAID"
        :model-value="cast.stroke.drop ? 'drop' : 'flat'"
        @update:model-value="cast.stroke.drop = $event === 'drop'"
      />
    </label>
    <label class="quiet">
      Gust
      <PickOne v-model="cast.stroke.gust" :options="gusts" />
    </label>
    <PickOne
      v-if="cast.stroke.gust"
      v-model="cast.stroke.gust_from"
      label="Where the gust comes from"
      :options="FROM"
    />
  </div>
</template>

<style scoped>
.stroke {
  flex-wrap: wrap;
  row-gap: 4px;
}

label {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
  max-width: 100%;
  white-space: nowrap;
}

.pick {
  width: auto;
  min-width: 0;
}

.stroke__speed {
  width: 92px;
}
</style>
