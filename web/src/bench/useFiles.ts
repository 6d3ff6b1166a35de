import { answered, api, type Design } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords, Refused } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { notify } from '@/shell/notify'
import { useBench } from './useBench'
import { useFitted } from './useFitted'

const MOST_BYTES = 300_000

/** The design as a file in an open format, and back. */
export function useFiles() {
  const bench = useBench()
  const settings = useSettings()
  const fitted = useFitted()

  async function exportAs(kind: 'json' | 'csv' | 'svg') {
    if (!bench.design) return
    try {
      await keepAnswer(
        api.POST('/api/v1/exports/{kind}', {
          params: { path: { kind } },
          body: { design: bench.design, units: settings.units },
          parseAs: 'blob',
        }),
      )
    } catch (error) {
      notify(inWords(error), 'trouble')
    }
  }

  /** Opens the file as a new design on the bench; a refused file changes nothing. */
  async function importFile(file: File) {
    if (!bench.design) return
    try {
      const design = await read(file, bench.design)
      if (file.name.toLowerCase().endsWith('.csv')) await bench.openDesign(design)
      else await fitted.open(design)
      notify(
        `“${design.title}” is on the bench, from ${file.name}. Undo brings the previous one back.`,
      )
    } catch (error) {
      notify(`${file.name}: ${inWords(error)}`, 'trouble')
    }
  }

  return { exportAs, importFile }
}

async function read(file: File, onto: Design): Promise<Design> {
  if (file.size > MOST_BYTES)
    throw new Refused({
      code: 'file-refused',
      status: 413,
      detail: 'The file is far too large to be a leader.',
      hint: 'Choose a file exported from Nine Knots.',
    })
  const kind = file.name.toLowerCase().endsWith('.csv') ? 'csv' : 'json'
  const title = file.name.replace(/\.csv$/i, '').slice(0, 80) || 'Imported leader'
  const base = kind === 'csv' ? { ...onto, title, notes: '' } : onto
  return answered(
    api.POST('/api/v1/imports', { body: { kind, text: await file.text(), onto: base } }),
  )
}
