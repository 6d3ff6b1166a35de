<script setup lang="ts">
/** Recovery codes, told this once. */
defineProps<{ codes: readonly string[] }>()
const copy = (codes: readonly string[]) => navigator.clipboard.writeText(codes.join('\n'))
const print = () => window.print()
</script>

<template>
  <p>
    Each of these ten codes logs you in once if you lose your passkey or password. They are shown
    only now: write them down or print them, and keep them with your licence.
  </p>
  <ul class="codes figure" aria-label="Recovery codes">
    <li v-for="code in codes" :key="code">{{ code }}</li>
  </ul>
  <p class="row">
    <button class="do" type="button" @click="copy(codes)">Copy them</button>
    <button class="do" type="button" @click="print">Print them</button>
  </p>
</template>

<style scoped>
.codes {
  display: grid;
  grid-template-columns: repeat(2, max-content);
  gap: 6px 28px;
  width: max-content;
  margin: 0;
  padding: 12px 16px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
  list-style: none;
  font-size: 17px;
}
</style>
