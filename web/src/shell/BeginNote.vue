<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from './attempt'

/** Asked at the first opening, and once only: look round, or begin with one's own. */
const anglers = useAnglers()
const name = ref('')
const narrow = useMediaQuery('(max-width: 820px)')
/** On a phone it is one line until one's own bench is asked for. */
const opened = ref(false)
const short = computed(() => narrow.value && !opened.value)

function begin() {
  if (short.value) opened.value = true
  else void attempt(() => anglers.begin(name.value))
}
</script>

<template>
  <section v-if="anglers.isFirst" class="first" aria-labelledby="first-title">
    <h2 id="first-title">{{ short ? 'This is a demo.' : 'Whose bench is it?' }}</h2>
    <p v-if="!short">
      This is a demo: made-up anglers of the Skarn valley, their spools and leaders. Look around, or
      start with your own things. The two are kept separate.
    </p>
    <form class="row" @submit.prevent="begin">
      <button class="do" type="button" @click="anglers.begun = true">
        {{ short ? 'Look around' : 'Look around the demo' }}
      </button>
      <template v-if="!short">
        <span class="quiet">or</span>
        <el-input
          v-model="name"
          class="first__name"
          aria-label="Your name"
          placeholder="Your name, if you like"
        />
      </template>
      <button class="do do--main" type="submit">Start with mine</button>
    </form>
  </section>
</template>

<style scoped>
.first {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
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

@media (max-width: 820px) {
  .first {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    padding: 4px 16px;
  }

  h2 {
    font-size: var(--size);
  }
}
</style>
