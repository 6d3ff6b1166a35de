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
      answered(api.GET('/api/v1/catalogue', { params: { query: { units: units.value } } })),
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
    queryFn: () =>
      answered(api.GET('/api/v1/stock', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })
}

/** Rods, lines and flies owned. */
export function useKit() {
  return useQuery({ queryKey: ['kit'], queryFn: () => answered(api.GET('/api/v1/kit')) })
}

export const OWN_TIES = ['own-ties'] as const

/** The knots that the angler always ties, by place. */
export function useOwnTies() {
  return useQuery({
    queryKey: OWN_TIES,
    queryFn: () => answered(api.GET('/api/v1/angler/knots')),
  })
}

/** Lower rigs kept by name, to be swapped below a ring or swivel. */
export function useLowerRigs() {
  const settings = useSettings()
  const units = computed(() => settings.units)
  return useQuery({
    queryKey: ['lower-rigs', units],
    queryFn: () =>
      answered(api.GET('/api/v1/lower-rigs', { params: { query: { units: units.value } } })),
    placeholderData: (before) => before,
  })
}

const AT_A_TIME = 24

export interface LeadersSought {
  q: string
  label: string
}
const ALL: LeadersSought = { q: '', label: '' }

/** Saved leaders, last saved first, a page at a time; all of them or those sought. */
export function useLeaders(which: () => LeadersSought = () => ALL) {
  const settings = useSettings()
  const units = computed(() => settings.units)
  const sought = computed(which)
  const pages = useInfiniteQuery({
    queryKey: ['leaders', units, sought],
    queryFn: ({ pageParam }) => leadersAfter(units.value, pageParam, sought.value),
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

async function leadersAfter(units: System, after: string, { q, label }: LeadersSought) {
  const query = { units, after, q, label, limit: AT_A_TIME }
  const asked = api.GET('/api/v1/leaders', { params: { query } })
  const { headers } = (await asked).response
  const following = /<[^>]*[?&]after=([^&>]+)[^>]*>; rel="next"/.exec(headers.get('link') ?? '')
  return {
    leaders: await answered(asked),
    total: Number(headers.get('x-total-count')) || 0,
    next: following?.[1] ? decodeURIComponent(following[1]) : '',
  }
}

/** Labels in use, with how many leaders carry each. */
export function useLabels() {
  return useQuery({
    queryKey: ['leaders', 'labels'],
    queryFn: () => answered(api.GET('/api/v1/leaders/labels')),
  })
}
