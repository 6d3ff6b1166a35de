<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { inWords } from '@/api/problems'

/** A small form that folds away: what it adds is kept, or the refusal is said where it stands. */
const props = defineProps<{
  title: string
  button: string
  refresh: string
  add: () => Promise<void>
}>()
const refused = ref('')
const busy = ref(false)
const folded = ref<HTMLDetailsElement>()
const queries = useQueryClient()

async function submit() {
  busy.value = true
  refused.value = ''
  try {
    await props.add()
    await queries.invalidateQueries({ queryKey: [props.refresh] })
    if (folded.value) folded.value.open = false
  } catch (error) {
    refused.value = inWords(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <details ref="folded" class="add">
    <summary>{{ title }}</summary>
    <form @submit.prevent="submit">
      <slot />
      <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
      <button class="do do--main" type="submit" :disabled="busy">{{ button }}</button>
    </form>
  </details>
</template>

<style scoped>
summary {
  color: var(--act);
  cursor: pointer;
}

form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin-top: 10px;
}

form > button {
  justify-self: start;
}
</style>
