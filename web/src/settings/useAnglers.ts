import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useStorage } from '@vueuse/core'
import { answered, api, type Schemas } from '@/api/client'

const channel = new BroadcastChannel('nine-knots.angler')

/** Whose things are here and who is in front: the demo's or one's own, never both at once. */
export const useAnglers = defineStore('anglers', () => {
  const here = shallowRef<readonly Schemas['AnglerAtBench'][]>([])
  const open = ref(false)
  /** Whether it was said once how to begin: in the demo, or with one's own. */
  const begun = useStorage('nine-knots.begun', false)
  const front = computed(() => here.value.find((item) => item.in_front) ?? null)
  const isFirst = computed(() => !begun.value && !!front.value?.demo)

  async function load() {
    here.value = await answered(api.GET('/api/v1/anglers'))
  }

  /** Another comes to the front: this page and every other begins anew with their things. */
  async function turn(work: Promise<unknown>, path = '/') {
    await work
    begun.value = true
    channel.postMessage('turned')
    location.assign(path)
  }

  const to = (angler_id: string, code = '') => {
    const params = { path: { angler_id } }
    return turn(answered(api.POST('/api/v1/anglers/{angler_id}/front', { params, body: { code } })))
  }
  /** A code for who is in front, empty for none; `now` is the one that was set, if one was. */
  async function setCode(code: string, now: string) {
    const here = await answered(api.PUT('/api/v1/anglers/code', { body: { code, now } }))
    await load()
    return here.locked
  }
  const toDemo = () => turn(answered(api.POST('/api/v1/anglers/demo')))
  const begin = (name: string) =>
    turn(answered(api.POST('/api/v1/anglers', { body: { name: name.trim() || 'My own' } })), '/')

  channel.onmessage = () => location.assign('/')
  return { here, front, open, begun, isFirst, load, to, toDemo, begin, setCode }
})
