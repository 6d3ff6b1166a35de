<script setup lang="ts">
import { ref } from 'vue'
import type { DayPack } from './keep'

/** The knots of what is carried, drawn loose, to be tied with cold fingers. */
defineProps<{ pack: DayPack }>()
const open = ref('')
</script>

<template>
  <h2>Knots of these rigs</h2>
  <template v-for="knot in pack.knots" :key="knot.title">
    <button
      class="tap"
      :class="{ 'tap--main': knot.title === open }"
      type="button"
      :aria-expanded="knot.title === open"
      @click="open = knot.title === open ? '' : knot.title"
    >
      {{ knot.title }}
    </button>
    <div v-if="knot.title === open" class="knot">
      <svg :viewBox="knot.box.join(' ')" role="img" :aria-label="`${knot.title}, drawn loose`">
        <template v-for="(stroke, i) in knot.work" :key="i">
          <path
            v-if="stroke.over"
            :d="stroke.path"
            :stroke-width="stroke.width + 1.8"
            class="gap"
          />
          <path
            :d="stroke.path"
            :stroke-width="stroke.width"
            :class="['strand', `strand--${stroke.part}`]"
          />
        </template>
      </svg>
      <ol>
        <li v-for="(step, i) in knot.steps" :key="i">{{ i + 1 }}. {{ step }}</li>
      </ol>
      <p v-for="line in knot.lines" :key="line.title" class="quiet">
        {{ line.title }}: {{ line.text }}
      </p>
    </div>
  </template>
</template>

<style scoped>
.knot {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

svg {
  width: 100%;
  max-height: 50vh;
}

path {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.gap {
  stroke: var(--ground);
}

.strand {
  stroke: var(--piece);
}

.strand--lower {
  stroke: var(--piece-cold);
}
</style>
