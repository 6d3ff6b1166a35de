import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answered, api, type Revision } from '@/api/client'
import { inWords, Refused, type Problem } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { notify } from '@/shell/notify'
import { useBench } from './useBench'

/** What stands in the field at hand counts as typed, and what Python is asked for comes first. */
async function everythingTyped() {
  const field = document.activeElement
  if (field instanceof HTMLInputElement) field.dispatchEvent(new Event('change'))
  const bench = useBench()
  if (!bench.lost) await bench.settled()
}

/** Saving the bench's leader, and what to do when it was saved in another window since. */
export function useSaving() {
  const bench = useBench()
  const queries = useQueryClient()
  const conflict = ref<Problem | null>(null)
  const busy = ref(false)
  const once = useIntent()

  async function keep(work: () => Promise<Revision>, words: string) {
    if (busy.value) return
    busy.value = true
    try {
      await everythingTyped()
      const made = await work()
      bench.noteSaved({ leader_id: made.leader_id, revision: made.revision, design: made.design })
      conflict.value = null
      await queries.invalidateQueries({ queryKey: ['leaders'] })
      notify(`${words} “${made.design.title}”, revision ${made.revision}.`)
    } catch (error) {
      if (error instanceof Refused && error.problem.code === 'stale-revision')
        conflict.value = error.problem
      else notify(inWords(error), 'trouble')
    } finally {
      busy.value = false
    }
  }

  const onTop = (revision: number) =>
    keep(async () => {
      const { design, saved } = bench
      if (!design || !saved) throw new Error('There is nothing to save.')
      const path = { leader_id: saved.leader_id }
      return once([path, revision, design], (key) =>
        answered(
          api.POST('/api/v1/leaders/{leader_id}/revisions', {
            params: { path, header: { 'if-match': `"${revision}"`, ...key } },
            body: design,
          }),
        ),
      )
    }, 'Saved')

  const asItsOwn = (title?: string) =>
    keep(async () => {
      if (title) await bench.change({ kind: 'put', part: { title } })
      if (!bench.design) throw new Error('There is nothing to save.')
      const body = bench.design
      return once(body, (header) =>
        answered(api.POST('/api/v1/leaders', { params: { header }, body })),
      )
    }, 'Saved as a new leader:')

  const save = () => (bench.saved ? onTop(bench.saved.revision) : asItsOwn())

  /** The revision that was saved in another window, pinned as the ghost. */
  async function lookAtNewest() {
    if (!bench.saved) return
    const path = { leader_id: bench.saved.leader_id }
    const newest = await answered(api.GET('/api/v1/leaders/{leader_id}', { params: { path } }))
    bench.pinGhost({ ...newest.design, title: `${newest.design.title}, saved in another window` })
    conflict.value = null
  }

  return { conflict, busy, save, onTop, asItsOwn, lookAtNewest }
}
