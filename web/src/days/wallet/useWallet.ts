import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Design, type Schemas } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'

export type WalletCard = Schemas['WalletCard']

/** What is tied and lies ready. */
export function useWallet() {
  const settings = useSettings()
  const queries = useQueryClient()
  const once = useIntent()
  const units = computed(() => settings.units)
  const { data: rigs, isSuccess } = useQuery({
    queryKey: ['wallet', units],
    queryFn: () =>
      answered(api.GET('/api/v1/wallet', { params: { query: { units: units.value } } })),
  })

  async function anew<T>(work: Promise<T>): Promise<T> {
    const done = await work
    await queries.invalidateQueries({ queryKey: ['wallet'] })
    return done
  }
  const put = (design: Design, lies: string) => {
    const body = { design, lies }
    return anew(
      once(body, (header) => answered(api.POST('/api/v1/wallet', { params: { header }, body }))),
    )
  }
  const say = (rig_id: string, lies: string, state: WalletCard['state']) =>
    anew(
      answered(
        api.PUT('/api/v1/wallet/{rig_id}', { params: { path: { rig_id } }, body: { lies, state } }),
      ),
    )
  const takeOut = (rig_id: string) =>
    anew(answered(api.DELETE('/api/v1/wallet/{rig_id}', { params: { path: { rig_id } } })))

  return { rigs, isSuccess, put, say, takeOut }
}
