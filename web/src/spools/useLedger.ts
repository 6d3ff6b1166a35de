import { useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'

export type Wanted = Schemas['DesignCount'][]
const MOVED = ['stock', 'ledger', 'shopping', 'spool-use', 'put-away', 'wallet']

/** Taking off the spools what was tied, renewed or lost: told, and undone where it was told. */
export function useLedger() {
  const queries = useQueryClient()
  const settings = useSettings()
  const once = useIntent()

  const moved = () =>
    Promise.all(MOVED.map((key) => queries.invalidateQueries({ queryKey: [key] })))

  const undo = (act_id: string) =>
    attempt(async () => {
      const path = { act_id }
      const { words } = await answered(
        api.POST('/api/v1/ledger/{act_id}/undo', { params: { path } }),
      )
      await moved()
      notify(words)
    })

  async function told(noted: Schemas['RecordedAct']) {
    await moved()
    notify(noted.words, 'done', { words: 'Undo', act: () => void undo(noted.act_id) })
  }

  /** All of some leaders; of one that was renewed, these pieces only. */
  const tied = (wanted: Wanted, pieces: number[] | null = null) =>
    attempt(async () => {
      const body = { wanted, pieces, units: settings.units }
      await told(
        await once(body, (header) =>
          answered(api.POST('/api/v1/ledger/tied', { params: { header }, body })),
        ),
      )
    })

  /** So much off one spool; answers once it is noted, and throws what is refused. */
  async function taken(form: Omit<Schemas['TakenForm'], 'units'>) {
    const body = { ...form, units: settings.units }
    await told(
      await once(body, (header) =>
        answered(api.POST('/api/v1/ledger/taken', { params: { header }, body })),
      ),
    )
  }

  return { tied, taken, undo, moved }
}
