<script setup lang="ts">
import { ref } from 'vue'

/** Deleting everything: the angler's name is typed, so that no slip does it. */
const props = defineProps<{ name: string; busy: boolean }>()
const emit = defineEmits<{ forget: [name: string] }>()
const typed = ref('')
function forget() {
  emit('forget', typed.value)
  typed.value = ''
}
</script>

<template>
  <details class="forget">
    <summary>Delete all of it …</summary>
    <p>
      Everything that <strong>{{ props.name }}</strong> has goes at once and for good: keep a file
      of it first, if in doubt. What others have here stays. Backups keep it for two weeks more.
    </p>
    <form class="row" @submit.prevent="forget">
      <label>
        <span class="quiet">To do it, type {{ props.name }}</span>
        <input v-model="typed" class="pick" autocomplete="off" maxlength="80" required />
      </label>
      <button class="do do--grave" type="submit" :disabled="busy || !typed.trim()">
        Delete everything
      </button>
    </form>
  </details>
</template>

<style scoped>
.forget {
  margin: 14px 0;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}

summary {
  cursor: pointer;
}

form {
  align-items: end;
}

label {
  display: grid;
  gap: 3px;
}

.do--grave {
  border-color: var(--doubt);
  color: var(--doubt);
}
</style>
