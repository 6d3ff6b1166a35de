<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import JobProgress from '@/widgets/JobProgress.vue'
import { useBench } from '../useBench'
import { useApply, type useWaterRemedies } from './useRemedies'

type Work = ReturnType<typeof useWaterRemedies>

/** What would bring a measure in: each found by trying the changed rig. */
const props = defineProps<{ work: Work; what: string }>()
const bench = useBench()
const apply = useApply()
const { answer: found, share, refused, stopped, stop } = props.work
const said = computed(() => {
  if (stopped.value) return 'Stopped. Any change starts again.'
  return found.value?.length === 0
    ? 'No single change, or pair of changes, with what you own fixes this. Try another fly, another day, or buy a spool.'
    : refused.value
})
const shown = computed(() => share.value !== null || found.value !== null || said.value)

function effects(remedy: Schemas['RemedyReading']): string {
  return remedy.effects
    .map(({ title, before, after, status }) =>
      before === after
        ? `${title.toLowerCase()} ${status}`
        : `${title.toLowerCase()} ${before} → ${after}`,
    )
    .join('; ')
}
</script>

<template>
  <section v-if="shown" class="remedies" :aria-label="`Remedies, ${what}`">
    <h3>What would fix it</h3>
    <JobProgress v-if="share !== null" :share="share" words="Trying what might …" @stop="stop" />
    <p v-else-if="said" class="quiet" role="status">{{ said }}</p>
    <ul v-else>
      <li v-for="remedy in found" :key="remedy.words">
        <button type="button" :disabled="bench.lost" @click="apply(remedy)">
          {{ remedy.words }}: <strong>{{ remedy.gives }}</strong>
        </button>
        <span v-if="remedy.effects.length" class="quiet">{{ effects(remedy) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.remedies {
  padding-left: 46px;
}

ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 3px 0;
}

li .quiet {
  display: block;
}

button {
  padding: 2px 0;
  border: 0;
  border-bottom: 1px solid var(--act);
  background: none;
  color: var(--act);
  font-size: 14px;
  text-align: left;
  cursor: pointer;
}

button:hover {
  background: var(--act-soft);
}

@media (max-width: 820px) {
  button {
    min-height: 48px;
  }
}
</style>
