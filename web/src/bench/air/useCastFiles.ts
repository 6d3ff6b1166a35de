import { api } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useBench } from '../useBench'
import { overhead, useCast } from './useCast'

/** The cast on the stage as a picture or as a table of its nodes. */
export function useCastFiles() {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()

  return async function exportCast(kind: 'csv' | 'svg') {
    if (!bench.design || !cast.reading) return
    try {
      const body = {
        bench: `file-${kind}`,
        design: bench.design,
        near: cast.reading.near,
        units: settings.units,
        stroke: overhead(cast.stroke),
      }
      await keepAnswer(
        api.POST('/api/v1/casts/files/{kind}', {
          params: { path: { kind } },
          body,
          parseAs: 'blob',
        }),
      )
    } catch (error) {
      notify(inWords(error), 'trouble')
    }
  }
}
