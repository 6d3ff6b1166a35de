<script setup lang="ts">
/** Readings in a row, typed or taken from an instrument; empty ones are not there yet. */
defineProps<{ label: string; hint?: string | undefined }>()
const readings = defineModel<string[]>({ required: true })

function write(at: number, event: Event) {
  const text = (event.target as HTMLInputElement).value
  readings.value = readings.value.map((reading, i) => (i === at ? text : reading))
}
</script>

<template>
  <fieldset class="readings">
    <legend class="quiet">{{ label }}</legend>
    <input
      v-for="(item, at) in readings"
      :key="at"
      class="pick figure"
      :value="item"
      :aria-label="`${label}, reading ${at + 1}`"
      :placeholder="hint"
      autocomplete="off"
      @input="write(at, $event)"
    />
  </fieldset>
</template>

<style scoped>
.readings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}

.readings input {
  width: 112px;
}
</style>
