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
    notify(locked ? 'From now on it is asked for.' : 'No code is asked for any more.')
  })
</script>

<template>
  <FoldedForm
    :title="here.locked ? 'Another code, or none …' : 'Keep these things by a code …'"
    @send="set"
  >
    <template #words>
      It is asked of whoever wants to bring the things of {{ here.name }} to the front. It keeps
      honest people apart, not a thief who has the machine.
    </template>
    <label v-if="here.locked">
      <span class="quiet">The code now</span>
      <input v-model="now" class="pick" type="password" autocomplete="off" maxlength="40" />
    </label>
    <label>
      <span class="quiet">{{ here.locked ? 'The new one (empty: none)' : 'The code' }}</span>
      <input v-model="code" class="pick" type="password" autocomplete="off" maxlength="40" />
    </label>
    <button class="do" type="submit">{{ here.locked && !code ? 'Ask for none' : 'Set it' }}</button>
  </FoldedForm>
</template>
