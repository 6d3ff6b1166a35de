<script setup lang="ts">
import { ref } from 'vue'
import { useRefusal } from '@/shell/useRefusal'
import { useMe } from './useMe'

/** Log-in to a hosted service: by a passkey, by name and password, by a recovery code. */
const me = useMe()
const { refused, attempt } = useRefusal()
const name = ref('')
const password = ref('')
const code = ref('')
const busy = ref(false)

async function enter(work: () => Promise<unknown>) {
  busy.value = true
  await attempt(work)
  busy.value = false
}
</script>

<template>
  <main class="enter">
    <svg viewBox="0 0 60 40" width="90" height="60" aria-hidden="true">
      <path d="M2 28c10 0 14-18 25-18 7 0 10 9 2 11-9 2-11-11-3-16 9-6 14 23 32 23" />
    </svg>
    <h1>Nine Knots</h1>
    <p class="quiet">Design leaders, tie them, fish them, and learn from them.</p>
    <button class="do do--main" type="button" :disabled="busy" @click="enter(me.byPasskey)">
      Log in with a passkey
    </button>
    <p class="or quiet">or</p>
    <form @submit.prevent="enter(() => me.byPassword(name, password))">
      <label>
        <span class="quiet">Name</span>
        <input
          v-model="name"
          class="pick"
          autocomplete="username webauthn"
          maxlength="80"
          required
        />
      </label>
      <label>
        <span class="quiet">Password</span>
        <input
          v-model="password"
          class="pick"
          type="password"
          autocomplete="current-password"
          maxlength="128"
          required
        />
      </label>
      <button class="do" type="submit" :disabled="busy">Log in with a password</button>
    </form>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <details>
      <summary>I have lost both …</summary>
      <form @submit.prevent="enter(() => me.byCode(name, code))">
        <p class="quiet">
          When you signed up you got ten recovery codes. Each logs you in once; then add a passkey
          or set a password.
        </p>
        <label>
          <span class="quiet">Name</span>
          <input v-model="name" class="pick" autocomplete="username" maxlength="80" required />
        </label>
        <label>
          <span class="quiet">Recovery code</span>
          <input v-model="code" class="pick figure" autocomplete="off" maxlength="40" required />
        </label>
        <button class="do" type="submit" :disabled="busy">Log in with a code</button>
      </form>
    </details>
    <p class="quiet">
      No account yet? Whoever is in can invite you: open the address that they give you.
    </p>
  </main>
</template>

<style scoped src="./enter.css"></style>
