<script setup lang="ts">
/** What the stage under the strip shows. */
const stage = defineModel<'lanes' | 'air' | 'water' | 'hold' | 'sure'>({ required: true })
const emit = defineEmits<{ plain: [] }>()
const stages = [
  { key: 'lanes', words: 'Lanes' },
  { key: 'air', words: 'Air: the cast' },
  { key: 'water', words: 'Water: the drift' },
  { key: 'hold', words: 'Hold: the pull' },
  { key: 'sure', words: 'Sure: what matters' },
] as const
</script>

<template>
  <div class="row">
    <fieldset class="tabs">
      <legend class="unseen">Stage</legend>
      <label v-for="item in stages" :key="item.key">
        <input v-model="stage" class="behind" type="radio" name="stage" :value="item.key" />
        <span>{{ item.words }}</span>
      </label>
    </fieldset>
    <span class="grow" />
    <button class="link" type="button" @click="emit('plain')">Plain bench</button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 4px;
  margin: 0;
  padding: 0;
  border: 0;
}

label {
  cursor: pointer;
}

label span {
  display: block;
  padding: 2px 10px;
  border-bottom: 3px solid transparent;
  color: var(--ink-2);
  font-size: 14px;
}

input:checked + span {
  border-bottom-color: var(--act);
  color: var(--ink);
  font-weight: 640;
}

input:focus-visible + span {
  outline: 3px solid var(--act);
}
</style>
