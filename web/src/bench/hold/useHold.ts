import { answered, api } from '@/api/client'
import { useAnswer } from '@/api/useAnswer'
import { useAnglerStorage } from '@/settings/useAnglerStorage'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'

/** The hold of the leader on the bench, worked out anew whenever it changes. */
export function useHold() {
  const bench = useBench()
  const settings = useSettings()
  const soaked = useAnglerStorage('soaked', true)
  const record = useAnglerStorage('record-rule', false)
  const { answer: reading } = useAnswer(
    () =>
      bench.design && {
        design: bench.design,
        soaked: soaked.value,
        record: record.value,
        units: settings.units,
      },
    (body, { signal }) => answered(api.POST('/api/v1/hold', { body, signal })),
    { keep: true },
  )
  return { reading, soaked, record }
}
