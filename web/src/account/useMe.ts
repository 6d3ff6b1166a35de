import { startAuthentication, startRegistration } from '@simplewebauthn/browser'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { Refused } from '@/api/problems'

type Me = Schemas['Me']
type Shown = Schemas['PasskeyAnswer']

/** What a passkey could not do, in a sentence: devices only say that they did not. */
async function byDevice<T>(work: Promise<T>): Promise<T> {
  try {
    return await work
  } catch (error) {
    if (error instanceof Refused) throw error
    throw new Error(
      'The device didn’t offer a passkey: it was cancelled, or has none for this site.',
    )
  }
}

/** Asks the device for a new passkey; what it made, to be sent. */
export async function makePasskey(asked: Schemas['PasskeyChallenge']): Promise<Shown> {
  const made = await byDevice(startRegistration({ optionsJSON: JSON.parse(asked.options) }))
  return { challenge_id: asked.challenge_id, credential: { ...made } }
}

/** Asks the device for a passkey that it keeps. */
export async function showPasskey(): Promise<Shown> {
  const asked = await answered(api.POST('/api/v1/account/passkey'))
  const shown = await byDevice(startAuthentication({ optionsJSON: JSON.parse(asked.options) }))
  return { challenge_id: asked.challenge_id, credential: { ...shown } }
}

/** Who is logged in to a hosted service; at home nobody is, nor asked to. */
export const useMe = defineStore('me', () => {
  const me = shallowRef<Me | null>(null)
  const isOut = computed(() => !!me.value?.hosted && !me.value.name)
  /** Something grave waits until it is shown who asks for it. */
  const proving = shallowRef<(() => void) | null>(null)
  const isProving = computed(() => proving.value !== null)

  async function load() {
    me.value = await answered(api.GET('/api/v1/account'))
  }

  /** Whoever came in begins anew at the bench. */
  async function enter(work: Promise<Me>) {
    await work
    location.assign('/')
  }
  const byPassword = (name: string, password: string) =>
    enter(answered(api.POST('/api/v1/account/log-in', { body: { name, password } })))
  const byPasskey = async () =>
    enter(answered(api.POST('/api/v1/account/passkey/log-in', { body: await showPasskey() })))
  const byCode = (name: string, code: string) =>
    enter(answered(api.POST('/api/v1/account/recover', { body: { name, code } })))

  /** Out, and nothing of the angler's stays in this browser but what it has still to send. */
  function forget() {
    localStorage.clear()
    location.assign('/')
  }
  async function out() {
    await answered(api.POST('/api/v1/account/log-out'))
    forget()
  }
  async function remove(name: string) {
    await answered(api.DELETE('/api/v1/account', { params: { query: { name } } }))
    forget()
  }

  /** Does something grave; where it was not shown just now who asks, that is asked for first. */
  async function gravely<T>(work: () => Promise<T>): Promise<T> {
    try {
      return await work()
    } catch (error) {
      if (!(error instanceof Refused) || error.problem.code !== 'not-proved') throw error
      await new Promise<void>((resolve, reject) => {
        proving.value = resolve
        dropped = () => reject(new Error('Nothing was changed.'))
      })
      return await work()
    }
  }
  let dropped = () => {}

  async function prove(form: Schemas['ReauthenticateForm']) {
    me.value = await answered(api.POST('/api/v1/account/reauthenticate', { body: form }))
    const go = proving.value
    proving.value = null
    go?.()
  }
  function putOff() {
    proving.value = null
    dropped()
  }

  return {
    me,
    isOut,
    isProving,
    load,
    byPassword,
    byPasskey,
    byCode,
    out,
    remove,
    gravely,
    prove,
    putOff,
  }
})
