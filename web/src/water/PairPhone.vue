<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { fetchPacks } from './fetchPacks'
import { ask } from './useDay'

/** A phone that is paired by the code it came with; the code is spent by it. */
const code = ref(decodeURIComponent(location.hash.slice(1)))
const name = ref('my phone')
const said = ref('')
/** The only one that a guest's phone is for. */
const day = ref('')
const refused = ref('')

async function pair() {
  refused.value = ''
  try {
    const body = { code: code.value, name: name.value.trim() || 'phone' }
    const paired = await ask<Schemas['PairedPhone']>('/api/v1/phones/pair', body)
    said.value = paired.words
    day.value = paired.day
    history.replaceState(null, '', '/water/')
    void fetchPacks().catch(() => undefined)
  } catch (error) {
    refused.value = error instanceof Error ? error.message : 'The bench isn’t answering.'
  }
}
</script>

<template>
  <main class="part">
    <h1>Pair this phone with the bench</h1>
    <template v-if="said">
      <p role="status">{{ said }}</p>
      <a v-if="day" class="tap" :href="`/water/${day}`">To the day</a>
      <a v-else class="tap" href="/water/">Go to packed days</a>
    </template>
    <form v-else class="part" @submit.prevent="pair">
      <label>
        <span class="quiet">Code, from the bench</span>
        <input v-model="code" class="field" autocapitalize="characters" autocomplete="off" />
      </label>
      <label>
        <span class="quiet">Name of this phone</span>
        <input v-model="name" class="field" maxlength="60" />
      </label>
      <p v-if="refused" class="warn" role="alert">{{ refused }}</p>
      <button class="tap tap--main" type="submit" :disabled="!code.trim()">Pair it</button>
    </form>
  </main>
</template>

<style scoped>
form {
  padding: 0;
}

a {
  color: inherit;
  text-decoration: none;
}
</style>
