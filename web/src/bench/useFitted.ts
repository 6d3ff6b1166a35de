import { ref } from 'vue'
import { answered, api, type Design, type Schemas } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useBench } from './useBench'

/** Differences of the leader that was taken from somebody else last. */
const differs = ref<{ title: string; words: string[] } | null>(null)

/** Somebody else's leader opened on one's own bench, of the nearest spools that are owned. */
export function useFitted() {
  const bench = useBench()
  const settings = useSettings()

  async function put(fitted: Schemas['FittedDesign']) {
    await bench.openDesign(fitted.design)
    differs.value = { title: fitted.design.title, words: fitted.differs }
  }
  const open = async (design: Design) =>
    put(
      await answered(api.POST('/api/v1/sharing/fit', { body: { design, units: settings.units } })),
    )
  const openCode = async (text: string) =>
    put(await answered(api.POST('/api/v1/sharing/scan', { body: { text, units: settings.units } })))

  return { differs, open, openCode }
}
