import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { useIntent } from '@/api/useIntent'
import { useBench } from '@/bench/useBench'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'

type Answer = Schemas['PullsAnswer']
export type Mischief = Schemas['ScaleForm']['mischief']

const AT_A_TIME = 60

/** The angler's pull tests of a knot: noted, read from a scale, set aside, forgotten, as files. */
export function usePulls(knot: MaybeRefOrGetter<Schemas['PullForm']['knot']>) {
  const settings = useSettings()
  const bench = useBench()
  const queries = useQueryClient()
  const units = computed(() => settings.units)
  const skip = ref(0)
  const query = computed(() => ({
    units: units.value,
    knot: toValue(knot),
    limit: AT_A_TIME,
    skip: skip.value,
  }))
  const once = useIntent()
  const read = ref('')
  const busy = ref(false)
  const trouble = ref('')
  const { data: pulls } = useQuery({
    queryKey: ['pulls', query],
    queryFn: () => answered(api.GET('/api/v1/pulls', { params: { query: query.value } })),
    placeholderData: keepPreviousData,
  })

  /** What is learnt changes every leader's hold: the bench reads its leader anew. */
  async function learn(work: () => Promise<Answer>): Promise<Answer | null> {
    busy.value = true
    trouble.value = ''
    try {
      const answer = await work()
      read.value = answer.read
      await queries.invalidateQueries({ queryKey: ['pulls'] })
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

  const note = (form: Omit<Schemas['PullForm'], 'units'>) => {
    const body = { ...form, units: settings.units }
    return learn(() =>
      once(body, (header) => answered(api.POST('/api/v1/pulls', { params: { header }, body }))),
    )
  }
  const readScale = (form: Omit<Schemas['ScaleForm'], 'units'>) => {
    const body = { ...form, units: settings.units }
    return learn(() =>
      once(body, (header) =>
        answered(api.POST('/api/v1/pulls/scale', { params: { header }, body })),
      ),
    )
  }
  const setAside = (test_ids: string[], set_aside: boolean) => {
    const body = { test_ids, set_aside, units: settings.units }
    return learn(() => answered(api.POST('/api/v1/pulls/aside', { body })))
  }
  const forget = async (test_ids: string[]) => {
    const body = { test_ids, units: settings.units }
    const answer = await learn(() => answered(api.POST('/api/v1/pulls/deletion', { body })))
    if (answer) notify(test_ids.length === 1 ? 'That pull is deleted.' : 'Those pulls are deleted.')
  }
  async function take(file: File) {
    const body = { text: await file.text(), units: settings.units }
    const answer = await learn(() =>
      once(body, (header) => answered(api.POST('/api/v1/pulls/csv', { params: { header }, body }))),
    )
    if (answer) notify(`The pull tests in ${file.name} are imported.`)
  }
  async function write() {
    try {
      await keepAnswer(api.GET('/api/v1/pulls/csv', { parseAs: 'blob' }))
    } catch (error) {
      trouble.value = inWords(error)
    }
  }

  const page = computed(() => ({
    first: skip.value + 1,
    last: skip.value + (pulls.value?.tests.length ?? 0),
    total: pulls.value?.total ?? 0,
  }))
  const turn = (pages: number) => {
    skip.value = Math.max(0, skip.value + pages * AT_A_TIME)
  }
  watch(
    () => toValue(knot),
    () => {
      skip.value = 0
      read.value = ''
    },
  )

  return { pulls, page, turn, read, busy, trouble, note, readScale, setAside, forget, take, write }
}
