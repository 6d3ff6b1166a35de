<script setup lang="ts">
import { computed } from 'vue'
import { useCatalogue } from '@/api/queries'
import { useCast } from './useCast'
import { useOwnCast } from './useOwnCast'

/** How it is thrown: speed, line out, loop, and a gust to try it against. */
const cast = useCast()
const { data: catalogue } = useCatalogue()
const { own } = useOwnCast()
const words = computed(() => catalogue.value?.casts.map((one) => one.key) ?? [])
const typed = computed(() => !words.value.includes(cast.stroke.speed))

function pickSpeed(event: Event) {
  const picked = (event.target as HTMLSelectElement).value
  cast.stroke.speed = picked === 'typed' ? (own.value?.speeds.normal ?? 'normal') : picked
}
</script>

<template>
  <div class="row stroke">
    <label class="quiet">
      Stroke
      <select class="pick" :value="typed ? 'typed' : cast.stroke.speed" @change="pickSpeed">
        <option v-for="word in words" :key="word" :value="word">
          {{ word }}, {{ own?.speeds[word] }}
        </option>
        <option value="typed">a line speed of …</option>
      </select>
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
      <select v-model="cast.stroke.line_out" class="pick">
        <option value="">usual</option>
        <option v-for="one in catalogue?.lines_out" :key="one.key" :value="one.key">
          {{ one.title }}
        </option>
      </select>
    </label>
    <label class="quiet">
      Loop
      <select v-model="cast.stroke.loop" class="pick">
        <option
          v-for="one in catalogue?.loops"
          :key="one.key"
          :value="one.title === 'usual' ? '' : one.key"
        >
          {{ one.title }}, {{ one.note }}
        </option>
      </select>
    </label>
    <label class="quiet">
      Gust
      <select v-model="cast.stroke.gust" class="pick">
        <option value="">none</option>
        <option v-for="one in catalogue?.gusts" :key="one.key" :value="one.key">
          {{ one.title }}
        </option>
      </select>
    </label>
    <select
      v-if="cast.stroke.gust"
      v-model="cast.stroke.gust_from"
      class="pick"
      aria-label="Where the gust comes from"
    >
      <option value="in the face">in the face</option>
      <option value="behind">from behind</option>
    </select>
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
  white-space: nowrap;
}

.pick {
  width: auto;
}

.stroke__speed {
  width: 92px;
}
</style>
