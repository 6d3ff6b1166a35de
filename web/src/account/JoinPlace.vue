<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useRefusal } from '@/shell/useRefusal'
import RecoveryCodes from './RecoveryCodes.vue'
import { makePasskey } from './useMe'

/** Joining by an invitation, which stands behind the hash of the address. */
const invitation = decodeURIComponent(location.hash.slice(1))
const { refused, attempt } = useRefusal()
const words = ref('')
const trouble = ref('')
const name = ref('')
const password = ref('')
const busy = ref(false)
const codes = shallowRef<readonly string[]>([])

onMounted(async () => {
  try {
    words.value = (
      await answered(api.POST('/api/v1/account/join/look', { body: { invitation } }))
    ).words
  } catch (error) {
    trouble.value = inWords(error)
  }
})

async function join(by: () => Promise<{ password: string } | Schemas['PasskeyAnswer']>) {
  busy.value = true
  await attempt(async () => {
    const units = navigator.language === 'en-US' ? ('imperial' as const) : ('metric' as const)
    const body = {
      invitation,
      name: name.value,
      units,
      password: '',
      challenge_id: '',
      ...(await by()),
    }
    codes.value = (await answered(api.POST('/api/v1/account/join', { body }))).codes
    history.replaceState(null, '', '/join')
  })
  busy.value = false
}
const byPassword = () => join(async () => ({ password: password.value }))
const byPasskey = () =>
  join(async () => {
    const body = { invitation, name: name.value }
    return makePasskey(await answered(api.POST('/api/v1/account/join/passkey', { body })))
  })
const begin = () => location.assign('/')
</script>

<template>
  <main class="enter">
    <template v-if="codes.length">
      <h1>You have signed up</h1>
      <RecoveryCodes :codes="codes" />
      <button class="do do--main" type="button" @click="begin">I have them: begin</button>
    </template>
    <template v-else>
      <h1>Join Nine Knots</h1>
      <p v-if="trouble" class="refusal" role="alert">{{ trouble }}</p>
      <template v-else-if="words">
        <p>{{ words }}</p>
        <form @submit.prevent="byPasskey">
          <label>
            <span class="quiet">Your name here: others whom you share with see it</span>
            <input v-model="name" class="pick" autocomplete="username" maxlength="80" required />
          </label>
          <button class="do do--main" type="submit" :disabled="busy">Sign up with a passkey</button>
          <p class="quiet">
            Your phone or computer keeps it and unlocks it with your fingerprint, face or PIN:
            nothing to type, and nothing to guess or steal here.
          </p>
        </form>
        <p class="or quiet">or</p>
        <form @submit.prevent="byPassword">
          <label>
            <span class="quiet"
              >A password: several words that have nothing to do with each other</span
            >
            <input
              v-model="password"
              class="pick"
              type="password"
              autocomplete="new-password"
              minlength="12"
              maxlength="128"
              required
            />
          </label>
          <button class="do" type="submit" :disabled="busy || !name.trim()">
            Sign up with a password
          </button>
        </form>
        <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
      </template>
      <p v-else class="quiet" role="status">One moment …</p>
    </template>
  </main>
</template>

<style scoped src="./enter.css"></style>
