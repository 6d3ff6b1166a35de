import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { useIntent } from '@/api/useIntent'

export type GiftRow = Schemas['GiftRow']
export type GivenKind = GiftRow['kind']

export const KIND_WORDS: Record<GivenKind, string> = {
  leader: 'leader',
  rig: 'lower rig',
  water: 'water',
  day: 'day',
}

/** How a thing was given: to read or to copy, with what tells where it is fished or without. */
export function howGiven(row: GiftRow): string {
  const how = `to ${row.may_copy ? 'copy' : 'read'}`
  if (row.kind === 'rig') return how
  return `${how}, ${row.places ? 'with' : 'without'} ${row.kind === 'leader' ? 'its notes' : 'where it is'}`
}

/** What is being given just now: the dialog is the same wherever a thing is given from. */
export const useGiving = defineStore('giving', () => {
  const thing = shallowRef<{ kind: GivenKind; id: string; title: string } | null>(null)
  const give = (kind: GivenKind, id: string, title: string) => (thing.value = { kind, id, title })
  const close = () => (thing.value = null)
  return { thing, give, close }
})

export const useReceivers = () =>
  useQuery({
    queryKey: ['given', 'to'],
    queryFn: () => answered(api.GET('/api/v1/gifts/to')),
  })
export const useGivenByMe = () =>
  useQuery({
    queryKey: ['given', 'by-me'],
    queryFn: () => answered(api.GET('/api/v1/gifts/by-me')),
  })
export const useGivenToMe = () =>
  useQuery({ queryKey: ['given', 'to-me'], queryFn: () => answered(api.GET('/api/v1/gifts')) })
export const useClubs = () =>
  useQuery({ queryKey: ['clubs'], queryFn: () => answered(api.GET('/api/v1/clubs')) })

/** Giving, taking back, copying, and what is done with groups. */
export function useSharedActs() {
  const queries = useQueryClient()
  const once = useIntent()
  async function anew(work: () => Promise<unknown>) {
    await work()
    await queries.invalidateQueries({ queryKey: ['given'] })
    await queries.invalidateQueries({ queryKey: ['clubs'] })
  }
  const give = (body: Schemas['GiftForm']) =>
    anew(() => answered(api.POST('/api/v1/gifts', { body })))
  const takeBack = (given_id: string) =>
    anew(() => answered(api.DELETE('/api/v1/gifts/{given_id}', { params: { path: { given_id } } })))

  async function copy(row: GiftRow) {
    const path = { given_id: row.given_id }
    const made = await once(path, (header) =>
      answered(api.POST('/api/v1/gifts/{given_id}/copy', { params: { path, header } })),
    )
    await queries.invalidateQueries()
    return made.words
  }
  const makeClub = (title: string) =>
    anew(() =>
      once({ title }, (header) =>
        answered(api.POST('/api/v1/clubs', { params: { header }, body: { title } })),
      ),
    )
  const join = (code: string) =>
    anew(() => answered(api.POST('/api/v1/clubs/join', { body: { code } })))
  const end = (club_id: string) =>
    anew(() => answered(api.DELETE('/api/v1/clubs/{club_id}', { params: { path: { club_id } } })))
  const leave = (club_id: string, angler_id: string) =>
    anew(() =>
      answered(
        api.DELETE('/api/v1/clubs/{club_id}/members/{angler_id}', {
          params: { path: { club_id, angler_id } },
        }),
      ),
    )
  const codeOf = (club_id: string) =>
    answered(api.POST('/api/v1/clubs/{club_id}/code', { params: { path: { club_id } } }))

  return { give, takeBack, copy, makeClub, join, end, leave, codeOf }
}
