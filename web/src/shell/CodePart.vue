<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from './attempt'
import FoldedForm from './FoldedForm.vue'
import { notify } from './notify'

/** A code that keeps one's things from the others of the household. */
defineProps<{ here: Schemas['AnglerAtBench'] }>()
const anglers = useAnglers()
const code = ref('')
const now = ref('')
const set = () =>
  attempt(async () => {
    const locked = await anglers.setCode(code.value, now.value)
    code.value = now.value = ''
    notify(locked ? 'The code is set.' : 'The code is removed.')
  })
</script>

<template>
  <FoldedForm
    :title="here.locked ? 'Change or remove the code …' : 'Protect these things with a code …'"
    @send="set"
  >
    <template #words>
      Anyone who wants to switch to {{ here.name }} must enter it. It keeps honest people apart; it
      doesn’t stop a thief who has the machine.
    </template>
    <label v-if="here.locked">
      <span class="quiet">Current code</span>
      <input v-model="now" class="pick" type="password" autocomplete="off" maxlength="40" />
    </label>
    <label>
      <span class="quiet">{{ here.locked ? 'New code (empty: none)' : 'Code' }}</span>
      <input v-model="code" class="pick" type="password" autocomplete="off" maxlength="40" />
    </label>
    <button class="do" type="submit">{{ here.locked && !code ? 'Ask for none' : 'Set it' }}</button>
  </FoldedForm>
</template>
