<script setup lang="ts">
import { ref, useId, watch } from 'vue'
import { useBench } from './useBench'

/** What the angler wants to remember of this leader; kept with it. */
const bench = useBench()
const text = ref('')
const id = useId()

watch(
  () => bench.design?.notes,
  (now) => (text.value = now ?? ''),
  { immediate: true },
)

function keep() {
  if (text.value !== bench.design?.notes) bench.put({ notes: text.value })
}
</script>

<template>
  <div class="notes">
    <label :for="id">Notes on this leader</label>
    <textarea
      :id="id"
      v-model="text"
      rows="3"
      maxlength="4000"
      placeholder="How it behaved, where it works"
      @change="keep"
    />
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 3px;
  color: var(--ink-2);
  font-size: var(--small);
}

textarea {
  width: 100%;
  padding: 6px 8px;
  border: 1px solid var(--hair-strong);
  border-radius: var(--radius);
  background: var(--raised);
  font-size: 14px;
  resize: vertical;
}

textarea::placeholder {
  color: var(--ink-2);
}
</style>
