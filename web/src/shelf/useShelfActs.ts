import { useQueryClient } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { answered, api, type LeaderCard } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { useIntent } from '@/api/useIntent'
import { useBench } from '@/bench/useBench'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'

/** What is done with saved leaders on the shelf; what goes wrong is said at the corner. */
export function useShelfActs() {
  const bench = useBench()
  const router = useRouter()
  const queries = useQueryClient()
  const once = useIntent()

  const anew = (work: () => Promise<unknown>) =>
    attempt(async () => {
      await work()
      await queries.invalidateQueries({ queryKey: ['leaders'] })
    })
  const pathOf = (card: LeaderCard) => ({ params: { path: { leader_id: card.leader_id } } })

  const open = (card: LeaderCard) =>
    anew(async () => {
      await bench.openLeader(card.leader_id)
      await router.push('/')
    })
  const compare = (card: LeaderCard) =>
    anew(async () => {
      const found = await answered(api.GET('/api/v1/leaders/{leader_id}', pathOf(card)))
      bench.pinGhost(found.design)
      await router.push('/')
    })
  const takeOff = (card: LeaderCard) =>
    anew(async () => {
      await answered(api.DELETE('/api/v1/leaders/{leader_id}', pathOf(card)))
      notify(`“${card.title}” is off the shelf.`, 'done', {
        words: 'Put it back',
        act: () => void putBack(card),
      })
    })
  const putBack = (card: LeaderCard) =>
    anew(() => answered(api.POST('/api/v1/leaders/{leader_id}/restore', pathOf(card))))
  const keepRaw = (card: LeaderCard) =>
    anew(() => {
      const path = { kind: 'leader' as const, row_id: `${card.leader_id}.${card.revision}` }
      const asked = { params: { path }, parseAs: 'blob' as const }
      return keepAnswer(api.GET('/api/v1/stored-values/damaged/{kind}/{row_id}', asked))
    })
  const label = (card: LeaderCard, labels: string) =>
    anew(() =>
      answered(
        api.PUT('/api/v1/leaders/{leader_id}/labels', { ...pathOf(card), body: { labels } }),
      ),
    )
  const asFile = (leader_ids: string[]) =>
    attempt(() =>
      keepAnswer(api.POST('/api/v1/sharing/file', { body: { leader_ids }, parseAs: 'blob' })),
    )
  const takeFile = (file: File) =>
    anew(async () => {
      const body = { text: await file.text() }
      const taken = await once(body, (header) =>
        answered(api.POST('/api/v1/sharing/leaders', { params: { header }, body })),
      )
      notify(taken.words)
    })

  return { open, compare, takeOff, keepRaw, label, asFile, takeFile }
}
