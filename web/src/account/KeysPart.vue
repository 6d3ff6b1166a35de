<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import ForgetPart from '@/shell/ForgetPart.vue'
import { notify } from '@/shell/notify'
import { useRefusal } from '@/shell/useRefusal'
import { dayText } from '@/widgets/dayText'
import RecoveryCodes from './RecoveryCodes.vue'
import { makePasskey, useMe } from './useMe'

/** By what I come in: passkeys, a password, recovery codes; and the end of all of it. */
const me = useMe()
const queries = useQueryClient()
const { refused, attempt } = useRefusal()
const title = ref('')
const password = ref('')
const codes = shallowRef<readonly string[]>([])
const { data: keys } = useQuery({
  queryKey: ['account', 'keys'],
  queryFn: () => answered(api.GET('/api/v1/account/login-methods')),
})

const change = (work: () => Promise<Schemas['LoginMethods']>, said: string) =>
  attempt(async () => {
    queries.setQueryData(['account', 'keys'], await me.gravely(work))
    notify(said)
  })
const add = () =>
  change(async () => {
    const made = await makePasskey(await answered(api.POST('/api/v1/account/passkeys/ask')))
    const body = { title: title.value.trim() || 'passkey', ...made }
    title.value = ''
    return answered(api.POST('/api/v1/account/passkeys', { body }))
  }, 'You can now log in with this device.')
const drop = (passkey: Schemas['PasskeyRow']) =>
  change(
    () =>
      answered(
        api.DELETE('/api/v1/account/passkeys/{passkey_id}', {
          params: { path: { passkey_id: passkey.passkey_id } },
        }),
      ),
    `${passkey.title} no longer logs anyone in.`,
  )
const setPassword = (next: string) =>
  change(
    () => answered(api.PUT('/api/v1/account/password', { body: { password: next } })),
    next
      ? 'The new password is set. All other browsers are logged out.'
      : 'The password is removed.',
  ).then((done) => {
    if (done) password.value = ''
  })
const newCodes = () =>
  attempt(async () => {
    codes.value = (
      await me.gravely(() => answered(api.POST('/api/v1/account/recovery-codes')))
    ).codes
    await queries.invalidateQueries({ queryKey: ['account', 'keys'] })
  })
const remove = (typed: string) => attempt(() => me.gravely(() => me.remove(typed)))
</script>

<template>
  <div v-if="keys" class="account">
    <p v-if="keys.words" class="poor">{{ keys.words }}</p>
    <section aria-labelledby="passkeys-title">
      <h2 id="passkeys-title">Passkeys</h2>
      <ul class="list">
        <li v-for="passkey in keys.passkeys" :key="passkey.passkey_id" class="row">
          <span class="grow">
            {{ passkey.title }}
            <span class="quiet">
              made {{ dayText(passkey.made_at) }},
              {{ passkey.used_at ? `last used ${dayText(passkey.used_at)}` : 'not used yet' }}
            </span>
          </span>
          <button
            class="link"
            type="button"
            :aria-label="`Remove ${passkey.title}`"
            @click="drop(passkey)"
          >
            remove
          </button>
        </li>
        <li v-if="!keys.passkeys.length" class="quiet">
          None yet: you can log in with your password only.
        </li>
      </ul>
      <form class="row" @submit.prevent="add">
        <input
          v-model="title"
          class="pick"
          aria-label="Name for this device"
          placeholder="this device, such as: my phone"
          maxlength="80"
        />
        <button class="do" type="submit">Add a passkey on this device</button>
      </form>
    </section>
    <section aria-labelledby="password-title">
      <h2 id="password-title">Password</h2>
      <form class="row" @submit.prevent="setPassword(password)">
        <input
          v-model="password"
          class="pick"
          type="password"
          :aria-label="keys.has_password ? 'Change the password' : 'Password'"
          :placeholder="keys.has_password ? 'new password' : 'none set'"
          autocomplete="new-password"
          maxlength="128"
          required
        />
        <button class="do" type="submit">Set it</button>
        <button
          v-if="keys.has_password && keys.passkeys.length"
          class="link"
          type="button"
          @click="setPassword('')"
        >
          log in with passkeys only
        </button>
      </form>
    </section>
    <section aria-labelledby="codes-title">
      <h2 id="codes-title">Recovery codes</h2>
      <RecoveryCodes v-if="codes.length" :codes="codes" />
      <p v-else class="row">
        {{ keys.codes_left }} of 10 are left.
        <button class="do" type="button" @click="newCodes">Create ten new ones</button>
      </p>
    </section>
    <p v-if="refused" class="refusal" role="alert">{{ refused }}</p>
    <ForgetPart
      v-if="me.me"
      :name="me.me.name"
      title="Delete my account and everything in it …"
      act="Delete it all"
      @forget="remove"
    >
      Everything that {{ me.me.name }} has is deleted at once and for good, and so is the account.
      Export it first (My things). Backups keep it for two more weeks.
    </ForgetPart>
  </div>
</template>

<style scoped src="./part.css"></style>
