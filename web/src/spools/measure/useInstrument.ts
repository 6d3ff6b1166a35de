import { useQuery } from '@tanstack/vue-query'
import { onScopeDispose, shallowRef, watch } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'

export interface Live {
  state: 'live' | 'moving' | 'taken' | 'silent' | 'rubbish' | 'gone'
  reading: string
  words: string
}

/** List connected instrumentsto this machine. */
export function useInstruments() {
  return useQuery({
    queryKey: ['instruments'],
    queryFn: () => answered<Schemas['InstrumentList']>(api.GET('/api/v1/instruments')),
    refetchInterval: 5000,
  })
}

/** An instrument as it is now: its readings live, and what was taken by its own button. */
export function useInstrument(
  asked: () => { kind: 'micrometer' | 'scale'; address: string; of_id: string } | null,
  taken: (reading: string) => void,
) {
  const settings = useSettings()
  const live = shallowRef<Live | null>(null)
  let source: EventSource | undefined

  function end() {
    source?.close()
    source = undefined
    live.value = null
  }

  watch(
    () => JSON.stringify({ ...asked(), units: settings.units, on: asked() !== null }),
    () => {
      end()
      const now = asked()
      if (!now) return
      const query = new URLSearchParams({ ...now, units: settings.units })
      source = new EventSource(`/api/v1/instruments/live?${query}`)
      source.addEventListener('live', (event) => {
        live.value = JSON.parse((event as MessageEvent<string>).data) as Live
        if (live.value.state === 'taken') taken(live.value.reading)
      })
    },
    { immediate: true },
  )
  onScopeDispose(end)

  return live
}
