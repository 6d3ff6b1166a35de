<script setup lang="ts">
import { ref } from 'vue'
import { useRefusal } from '@/shell/useRefusal'
import { showPasskey, useMe } from './useMe'

/** Before something grave: who sits there shows once more that it is them. */
const me = useMe()
const { refused, attempt } = useRefusal()
const password = ref('')
const byPassword = () =>
  attempt(() => me.prove({ password: password.value, challenge_id: '', credential: {} }))
const byPasskey = () => attempt(async () => me.prove({ password: '', ...(await showPasskey()) }))
</script>

<template>
  <el-dialog
    :model-value="true"
    title="Confirm it's you"
    width="min(420px, 94vw)"
    append-to-body
    @close="me.putOff"
  >
    <p class="quiet">We ask for this before important changes, at most every ten minutes.</p>
    <p>
      <button class="do do--main" type="button" @click="byPasskey">Use your passkey</button>
    </p>
    <form class="row" @submit.prevent="byPassword">
      <input
        v-model="password"
        class="pick"
        type="password"
        aria-label="Your password"
        placeholder="or your password"
        autocomplete="current-password"
        required
      />
      <button class="do" type="submit">Use your password</button>
    </form>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
  </el-dialog>
</template>

<style scoped>
p,
form {
  margin: 0 0 12px;
}

.pick {
  width: 210px;
}
</style>
