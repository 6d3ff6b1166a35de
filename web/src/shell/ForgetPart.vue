<script setup lang="ts">
import { ref } from 'vue'
import FoldedForm from './FoldedForm.vue'

/** Deleting everything: the angler's name is typed, so that no slip does it. */
withDefaults(defineProps<{ name: string; busy?: boolean; title?: string; act?: string }>(), {
  title: 'Delete all of it …',
  act: 'Delete everything',
})
const emit = defineEmits<{ forget: [name: string] }>()
const typed = ref('')
function forget() {
  emit('forget', typed.value)
  typed.value = ''
}
</script>

<template>
  <FoldedForm :title="title" @send="forget">
    <template #words>
      <slot>
        Everything that <strong>{{ name }}</strong> has is deleted at once and for good. If in
        doubt, export it first. Other anglers’ things stay. Backups keep it for two more weeks.
      </slot>
    </template>
    <label>
      <span class="quiet">To confirm, type {{ name }}</span>
      <input v-model="typed" class="pick" autocomplete="off" maxlength="80" required />
    </label>
    <button class="do do--grave" type="submit" :disabled="busy || !typed.trim()">
      {{ act }}
    </button>
  </FoldedForm>
</template>
