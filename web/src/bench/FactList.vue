<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** Lines of what a reading means, each with its standing. */
defineProps<{ facts: readonly Schemas['Fact'][] }>()
</script>

<template>
  <dl class="facts">
    <div v-for="fact in facts" :key="fact.title + fact.text">
      <dt>{{ fact.title }}</dt>
      <dd :class="`stand stand--${fact.status.replace(' ', '-')}`">{{ fact.text }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(370px, 1fr));
  gap: 2px 26px;
  margin: 4px 0 0;
  font-size: var(--small);
}

.facts > div {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr);
}

dt {
  color: var(--ink-2);
}

dd {
  margin: 0;
}

.stand--too-much {
  color: var(--much);
}

.stand--too-little {
  color: var(--little);
}

@media (max-width: 820px) {
  .facts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
