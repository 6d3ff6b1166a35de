import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { inWords } from '@/api/problems'
import { useAnswer } from '@/api/useAnswer'
import { useIntent } from '@/api/useIntent'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'

interface Forms {
  micrometer: Schemas['MicrometerForm']
  droop: Schemas['DroopForm']
  jar: Schemas['JarForm']
  stretch: Schemas['StretchingForm']
  scale: Schemas['WeighingForm']
}
type Kind = keyof Forms
const CHANGED = ['stock', 'kit', 'owned-kit', 'measurements']
const QUIET_MS = 250

/** What readings come to, told as they are typed, and kept when the angler says so. */
export function useMeasure<K extends Kind>(
  kind: K,
  form: () => Omit<Forms[K], 'units' | 'keep'> | null,
) {
  const settings = useSettings()
  const queries = useQueryClient()
  const once = useIntent()
  const trouble = ref('')
  const busy = ref(false)

  const bodyOf = (keep: boolean) => {
    const read = form()
    return read && ({ ...read, keep, units: settings.units } as Forms[K])
  }
  const ask = (body: Forms[K], header: Record<string, string>, signal?: AbortSignal) =>
    answered<Schemas['MeasuredAnswer']>(
      api.POST(`/api/v1/measure/${kind}` as '/api/v1/measure/jar', {
        params: { header },
        body: body as unknown as Forms['jar'],
        ...(signal ? { signal } : {}),
      }),
    )
  const { answer, refused } = useAnswer(
    () => bodyOf(false),
    (body, { signal }) => ask(body, {}, signal),
    { keep: true, quiet: QUIET_MS },
  )

  async function keep(): Promise<boolean> {
    const body = bodyOf(true)
    if (!body) return false
    trouble.value = ''
    busy.value = true
    try {
      const kept = await once(body, (header) => ask(body, header))
      await Promise.all(CHANGED.map((key) => queries.invalidateQueries({ queryKey: [key] })))
      notify(`Saved: ${kept.figure}.`)
      return true
    } catch (error) {
      trouble.value = inWords(error)
      return false
    } finally {
      busy.value = false
    }
  }

  return { answer, refused, trouble, busy, keep }
}

/** What was measured before of one thing. */
export function useMeasurements(ofId: () => string) {
  return useQuery({
    queryKey: ['measurements', computed(ofId)],
    queryFn: () => answered(api.GET('/api/v1/measure', { params: { query: { of_id: ofId() } } })),
    enabled: computed(() => !!ofId()),
  })
}
