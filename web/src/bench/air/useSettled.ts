import { ref, shallowRef, watch } from 'vue'
import type { CastReading, Design, StrokeForm, System } from '@/api/client'
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
 * is dropped as soon as anything changes.
 */
export function useSettled<T>(
  name: string,
  nothing: T,
  fetch: (asked: Asked) => Promise<T>,
  wanted: (reading: CastReading) => boolean = () => true,
) {
  const bench = useBench()
  const cast = useCast()
  const settings = useSettings()
  const found = shallowRef<T>(nothing)
  const looking = ref(false)
  const who = `${name}-${crypto.randomUUID().slice(0, 8)}`
  let asked = 0

  async function ask() {
    const mine = ++asked
    found.value = nothing
    const reading = cast.reading
    const design = reading?.resolution === 'full' && wanted(reading) ? bench.design : null
    looking.value = design !== null
    if (!design) return
    try {
      const stroke = overhead(cast.stroke)
      const answer = await fetch({ bench: who, design, stroke, units: settings.units })
      if (mine === asked) found.value = answer
    } catch {
      // none can be told now; the next settled cast asks again
    } finally {
      if (mine === asked) looking.value = false
    }
  }

  watch(() => cast.reading, ask, { immediate: true })
  return { found, looking }
}
