<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from './useBench'

/** Every link above the leader, from the reel down, with what it holds. */
const bench = useBench()
const chain = computed(() => bench.evaluation?.chain)
</script>

<template>
  <section v-if="chain" class="chain" aria-label="The chain above the leader">
    <ol>
      <li v-for="link in chain.links" :key="link.title">
        <strong>{{ link.title }}</strong>
        <span class="quiet">{{ link.detail }}</span>
        <span class="figure">{{ link.holds.text }}</span>
        <span class="stand" :class="`stand--${link.status.replace(' ', '-')}`">
          {{ link.first }}
        </span>
      </li>
      <li>
        <strong>leader</strong>
        <span class="quiet">{{ bench.evaluation?.length.text }}</span>
        <span class="figure">{{ bench.evaluation?.low.text }}</span>
        <span class="quiet">or more, 19 times in 20</span>
      </li>
    </ol>
    <p>{{ chain.words }}</p>
  </section>
</template>

<style scoped>
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 0;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  max-width: 190px;
  padding: 2px 12px;
  border-left: 3px solid var(--hair-strong);
  font-size: var(--small);
}

li .figure {
  font-size: 15px;
}

.stand--too-much {
  color: var(--much);
}

p {
  margin-top: 4px;
}
</style>
