import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'

vi.stubGlobal('BroadcastChannel', class {})
const { useAnglers } = await import('@/settings/useAnglers')
const { useAnglerStorage } = await import('@/settings/useAnglerStorage')
const { usePlanForm, planBegun } = await import('@/days/plan/usePlanForm')

async function inFront(angler_id: string) {
  setActivePinia(createPinia())
  const here = [{ angler_id, in_front: true, name: angler_id }]
  vi.stubGlobal('fetch', async () => new Response(JSON.stringify(here)))
  await useAnglers().load()
}
beforeEach(() => localStorage.clear())

it('what one angler leaves in the browser is not the next one’s', async () => {
  await inFront('ann')
  useAnglerStorage('water', '').value = 'mill pool'
  await nextTick()
  await inFront('ben')
  expect(useAnglerStorage('water', '').value).toBe('')
  await inFront('ann')
  expect(useAnglerStorage('water', '').value).toBe('mill pool')
})

it('what an earlier version stored without a name goes to one angler only', async () => {
  localStorage.setItem('nine-knots.left-handed', 'true')
  await inFront('ann')
  expect(useAnglerStorage('left-handed', false).value).toBe(true)
  await inFront('ben')
  expect(useAnglerStorage('left-handed', false).value).toBe(false)
})

it('a plan typed for a water that is not here goes on at one that is', async () => {
  const kit = { rods: [], lines: [], flies: [] } as never
  const places = [{ place_id: 'mine' }] as never
  const typed = { ...planBegun(kit, places, null), title: 'Saturday', place_id: 'gone' }
  const stops = [{ stretch_id: 'gone-too', begins: '09:00', ends: '11:00', fly: null }]
  localStorage.setItem('nine-knots.plan-draft.new', JSON.stringify({ ...typed, stops }))
  await inFront('ann')
  const { form } = usePlanForm('', places, () => null)
  expect(form.value).toMatchObject({ title: 'Saturday', place_id: 'mine', stops: [] })
})
