import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'

type Answer = Schemas['PullsAnswer']
export type Mischief = Schemas['ScaleForm']['mischief']

/** The angler's pull tests: noted by hand, read from a scale, set aside, as files. */
export function usePulls() {
  const settings = useSettings()
  const bench = useBench()
  const queries = useQueryClient()
  const units = computed(() => settings.units)
  const key = computed(() => ['pulls', units.value])
  const busy = ref(false)
  const trouble = ref('')
  const { data: pulls } = useQuery({
    queryKey: key,
    queryFn: () => answered(api.GET('/api/pulls', { params: { query: { units: units.value } } })),
    placeholderData: keepPreviousData,
  })

  /** What is learnt changes every leader's hold: the bench reads its leader anew. */
  async function learn(work: () => Promise<Answer>): Promise<Answer | null> {
    busy.value = true
    trouble.value = ''
    try {
      const answer = await work()
      queries.setQueryData(key.value, answer)
      await queries.invalidateQueries({ queryKey: ['hold'] })
      if (bench.design) await bench.change({ kind: 'read' })
      return answer
    } catch (error) {
      trouble.value = inWords(error)
      return null
    } finally {
      busy.value = false
    }
  }

  const note = (body: Omit<Schemas['PullForm'], 'units'>) =>
    learn(() => answered(api.POST('/api/pulls', { body: { ...body, units: settings.units } })))
  const readScale = (body: Omit<Schemas['ScaleForm'], 'units'>) =>
    learn(() =>
      answered(api.POST('/api/pulls/scale', { body: { ...body, units: settings.units } })),
    )
  const setAside = (test_id: string, set_aside: boolean) =>
    learn(() =>
      answered(
        api.PUT('/api/pulls/{test_id}', {
          params: { path: { test_id } },
          body: { set_aside, units: settings.units },
        }),
      ),
    )
  async function take(file: File) {
    const text = await file.text()
    const body = { text, units: settings.units }
    const answer = await learn(() => answered(api.POST('/api/pulls/csv', { body })))
    if (answer) notify(`The pull tests in ${file.name} are taken.`)
  }
  async function write() {
    try {
      await keepAnswer(api.GET('/api/pulls/csv', { parseAs: 'blob' }))
    } catch (error) {
      trouble.value = inWords(error)
    }
  }

  return { pulls, busy, trouble, note, readScale, setAside, take, write }
}
