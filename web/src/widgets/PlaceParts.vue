<script setup lang="ts">
import { computed, type Component } from 'vue'
import { useRoute } from 'vue-router'

/** A place in several parts: its title, links to them, and the one that is open. */
const props = defineProps<{
  title: string
  base: string
  label: string
  parts: { key: string; words: string; shows: Component }[]
}>()
const route = useRoute()
const part = computed(
  () =>
    props.parts.find((part) => part.key === String(route.params['part'] ?? '')) ?? props.parts[0]!,
)
</script>

<template>
  <div class="place parts">
    <header class="row parts__head">
      <h1>{{ title }}</h1>
      <nav class="row" :aria-label="label">
        <RouterLink
          v-for="tab in parts"
          :key="tab.key"
          class="part"
          :to="`${base}${tab.key && '/'}${tab.key}`"
        >
          {{ tab.words }}
        </RouterLink>
      </nav>
    </header>
    <component :is="part.shows" />
  </div>
</template>

<style scoped>
.parts__head {
  gap: 6px 22px;
  margin-bottom: 14px;
}

.part {
  padding: 4px 8px;
  border-bottom: 3px solid transparent;
  color: var(--ink-2);
  text-decoration: none;
}

.part:hover {
  color: var(--ink);
}

.part.router-link-exact-active {
  border-bottom-color: var(--act);
  color: var(--ink);
  font-weight: 640;
}

@media (max-width: 820px) {
  .part {
    padding: 14px 6px 11px;
  }
}

@media print {
  .parts__head {
    display: none;
  }
}
</style>
