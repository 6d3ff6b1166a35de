<script setup lang="ts">
/** A form that is rarely wanted, behind a line of its own. */
defineProps<{ title: string }>()
const emit = defineEmits<{ send: [] }>()
</script>

<template>
  <details>
    <summary>{{ title }}</summary>
    <p class="quiet"><slot name="words" /></p>
    <form class="row" @submit.prevent="emit('send')"><slot /></form>
  </details>
</template>

<style scoped>
details {
  margin: 12px 0;
}

summary {
  cursor: pointer;
}

p {
  margin: 4px 0 8px;
}

form {
  align-items: end;
}

form :slotted(label) {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
}

form :slotted(label) input {
  width: 190px;
}
</style>
