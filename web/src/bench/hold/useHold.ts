import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { answered, api, type Design } from '@/api/client'
import { useSettings } from '@/settings/useSettings'
import { useBench } from '../useBench'

/** The hold of the leader on the bench, worked out anew whenever it changes. */
export function useHold() {
  const bench = useBench()
  const settings = useSettings()
  const soaked = useStorage('nine-knots.soaked', true)
  const record = useStorage('nine-knots.record-rule', false)
  const body = computed(() => ({
    design: bench.design as Design,
    soaked: soaked.value,
    record: record.value,
    units: settings.units,
  }))
  const { data: reading } = useQuery({
    queryKey: ['hold', body],
    queryFn: () => answered(api.POST('/api/hold', { body: body.value })),
    enabled: computed(() => bench.design !== null),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  })
  return { reading, soaked, record }
}
