<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { useBench } from '../useBench'
import { useApply } from './useRemedies'

/** What would bring a measure in: each found by trying the changed rig. */
defineProps<{ remedies: readonly Schemas['Remedy'][]; looking: boolean; what: string }>()
const bench = useBench()
const apply = useApply()

function effects(remedy: Schemas['Remedy']): string {
  return remedy.effects
    .map(({ title, before, after, standing }) =>
      before === after
        ? `${title.toLowerCase()} ${standing}`
        : `${title.toLowerCase()} ${before} → ${after}`,
    )
    .join('; ')
}
</script>

<template>
  <section v-if="looking || remedies.length" class="remedies" :aria-label="`Remedies, ${what}`">
    <h3>What would mend it</h3>
    <p v-if="looking" class="quiet" role="status">Trying what might …</p>
    <ul v-else>
      <li v-for="remedy in remedies" :key="remedy.words">
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
