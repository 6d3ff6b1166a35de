import { watch } from 'vue'
import type { CastReading, Design, StrokeForm, System } from '@/api/client'
import type { Waiting } from '@/api/job'
import { useJob } from '@/api/useJob'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'
import { overhead, useCast } from './useCast'

interface Asked {
  bench: string
  design: Design
  stroke: StrokeForm
  units: System
}

/**
 * Something more that is worked out once a full cast has settled and `wanted` says so; what came
 * is dropped, and what runs is ended, as soon as anything changes.
 */
export function useSettled<T>(
  name: string,
  fetch: (asked: Asked, waiting: Waiting) => Promise<T>,
  wanted: (reading: CastReading) => boolean = () => true,
) {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const work = useJob<T>()
  const who = `${name}-${crypto.randomUUID().slice(0, 8)}`

  function ask() {
    const reading = cast.reading
    const design = reading?.resolution === 'full' && wanted(reading) ? bench.design : null
    if (!design) return work.forget()
    const asked = { bench: who, design, stroke: overhead(cast.stroke), units: settings.units }
    void work.run((waiting) => fetch(asked, waiting))
  }

  watch(() => cast.reading, ask, { immediate: true })
  return work
}
