<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { useAnglers } from '@/settings/useAnglers'
import { attempt } from './attempt'
import { notify } from './notify'

/** A code that keeps one's things from the others of the household. */
const props = defineProps<{ here: Schemas['Here'] }>()
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
  <details>
    <summary>
      {{ props.here.locked ? 'Another code, or none …' : 'Keep these things by a code …' }}
    </summary>
    <p class="quiet">
      It is asked of whoever wants to bring the things of {{ props.here.name }} to the front. It
      keeps honest people apart, not a thief who has the machine.
    </p>
    <form class="row" @submit.prevent="set">
      <label v-if="props.here.locked">
        <span class="quiet">The code now</span>
        <input v-model="now" class="pick" type="password" autocomplete="off" maxlength="40" />
      </label>
      <label>
        <span class="quiet">{{
          props.here.locked ? 'The new one (empty: none)' : 'The code'
        }}</span>
        <input v-model="code" class="pick" type="password" autocomplete="off" maxlength="40" />
      </label>
      <button class="do" type="submit">
        {{ props.here.locked && !code ? 'Ask for none' : 'Set it' }}
      </button>
    </form>
  </details>
</template>

<style scoped>
details {
  margin: 10px 0 14px;
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

input {
  width: 150px;
}
</style>
