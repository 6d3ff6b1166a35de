import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useSettings } from '@/settings/useSettings'
import { answered, api, type System } from './client'

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

export const OWN_TIES = ['own-ties'] as const

/** The knots that the angler always ties, by place. */
export function useOwnTies() {
  return useQuery({
    queryKey: OWN_TIES,
    queryFn: () => answered(api.GET('/api/angler/knots')),
  })
}

/** Lower rigs kept by name, to be swapped below a ring or swivel. */
export function useLowerRigs() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['lower-rigs', units],
    queryFn: () =>
      answered(api.GET('/api/lower-rigs', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })
}

const AT_A_TIME = 24

/** Saved leaders, last saved first, a page at a time. */
export function useLeaders() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  const pages = useInfiniteQuery({
    queryKey: ['leaders', units],
    queryFn: ({ pageParam }) => leadersAfter(units.value, pageParam),
    initialPageParam: '',
    getNextPageParam: (page) => page.next || undefined,
    placeholderData: (before) => before,
  })
  return {
    ...pages,
    leaders: computed(() => pages.data.value?.pages.flatMap((page) => page.leaders) ?? []),
    total: computed(() => pages.data.value?.pages[0]?.total ?? 0),
  }
}

async function leadersAfter(units: System, after: string) {
  const asked = api.GET('/api/leaders', { params: { query: { units, after, limit: AT_A_TIME } } })
  const { headers } = (await asked).response
  const following = /<[^>]*[?&]after=([^&>]+)[^>]*>; rel="next"/.exec(headers.get('link') ?? '')
  return {
    leaders: await answered(asked),
    total: Number(headers.get('x-total-count')) || 0,
    next: following?.[1] ? decodeURIComponent(following[1]) : '',
  }
}
