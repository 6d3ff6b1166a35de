import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useSettings } from '@/settings/useSettings'
import { answered, api } from './client'

/** Words, fish, materials, knots and schools to choose from. */
export function useCatalogue() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['catalogue', units],
    queryFn: () =>
      answered(api.GET('/api/catalogue', { params: { query: { units: units.value } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  })
}

/** Spools and packets owned. */
export function useStock() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['stock', units],
    queryFn: () => answered(api.GET('/api/stock', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })
}

/** Rods, lines and flies owned. */
export function useKit() {
  return useQuery({ queryKey: ['kit'], queryFn: () => answered(api.GET('/api/kit')) })
}

/** Saved leaders, last saved first. */
export function useLeaders() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['leaders', units],
    queryFn: () => answered(api.GET('/api/leaders', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })
}
