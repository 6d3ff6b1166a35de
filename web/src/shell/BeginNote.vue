<script setup lang="ts">
import { ref } from 'vue'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from './attempt'

/** Asked at the first opening, and once only: look round, or begin with one's own. */
const anglers = useAnglers()
const name = ref('')
</script>

<template>
  <section v-if="anglers.isFirst" class="first" aria-labelledby="first-title">
    <h2 id="first-title">Whose bench is it?</h2>
    <p>
      What you see is a demo: made-up anglers of the Skarn valley, their spools and leaders. Look
      round in it, or begin with what is yours; both are kept apart.
    </p>
    <form class="row" @submit.prevent="attempt(() => anglers.begin(name))">
      <button class="do" type="button" @click="anglers.begun = true">Look round in the demo</button>
      <span class="quiet">or</span>
      <el-input
        v-model="name"
        class="first__name"
        aria-label="Your name"
        placeholder="Your name, if you like"
      />
      <button class="do do--main" type="submit">Begin with mine</button>
    </form>
  </section>
</template>

<style scoped>
.first {
  display: grid;
  gap: 8px;
  padding: 14px 28px 16px;
  background: var(--act-soft);
  border-bottom: 2px solid var(--act);
}

.first__name {
  width: 220px;
}

.first .row {
  flex-wrap: wrap;
}
</style>
