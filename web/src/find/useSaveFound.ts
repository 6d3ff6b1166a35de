import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answered, api, type Situation } from '@/api/client'
import { useIntent } from '@/api/useIntent'
import { attempt } from '@/shell/attempt'
import { notify } from '@/shell/notify'
import type { FoundCard } from './useFind'

/** Saves the leaders found onto the shelf, each with why it was found. */
export function useSaveFound() {
  const queries = useQueryClient()
  const once = useIntent()
  const saving = ref(false)
  /** What is on the shelf already, where a save broke off half way. */
  const kept = new Set<string>()

  async function save(cards: FoundCard[], situation: Situation) {
    saving.value = true
    await attempt(async () => {
      for (const card of cards) {
        const notes = `${card.why} ${card.gives_up}`
        const design = { title: card.title, notes, situation, leader: card.leader }
        const text = JSON.stringify(design)
        if (kept.has(text)) continue
        await once(design, (key) =>
          answered(api.POST('/api/v1/leaders', { params: { header: key }, body: design })),
        )
        kept.add(text)
      }
      notify(`${cards.length === 1 ? 'It is' : `All ${cards.length} are`} on the shelf.`)
    })
    await queries.invalidateQueries({ queryKey: ['leaders'] })
    saving.value = false
  }
  return { saving, save }
}
