<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useRoute } from 'vue-router'
import OwnedShelf from './OwnedShelf.vue'

/** What is owned: on the shelf, measured, come and gone, to be bought. */
const PARTS = [
  { key: '', words: 'Owned', shows: OwnedShelf },
  {
    key: 'measure',
    words: 'Measure',
    shows: defineAsyncComponent(() => import('./measure/MeasurePart.vue')),
  },
  {
    key: 'ledger',
    words: 'Come and gone',
    shows: defineAsyncComponent(() => import('./LedgerPart.vue')),
  },
  { key: 'buy', words: 'To buy', shows: defineAsyncComponent(() => import('./BuyPart.vue')) },
]
const route = useRoute()
const part = computed(
  () => PARTS.find((one) => one.key === String(route.params['part'] ?? '')) ?? PARTS[0]!,
)
</script>

<template>
  <div class="place spools">
    <header class="row spools__head">
      <h1>Spools</h1>
      <nav class="row" aria-label="What of the spools">
        <RouterLink
          v-for="one in PARTS"
          :key="one.key"
          class="part"
          :to="`/spools${one.key && '/'}${one.key}`"
        >
          {{ one.words }}
        </RouterLink>
      </nav>
    </header>
    <component :is="part.shows" />
  </div>
</template>

<style scoped>
.spools__head {
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
  .spools__head {
    display: none;
  }
}
</style>
