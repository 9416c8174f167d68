import { beforeEach, expect, it } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers } from '@testing/server'
import { shown, signedIn } from '@testing/shown'
import RoundPage from './RoundPage.vue'

const row = (slug: string, more: object = {}) => ({
  slug,
  name: slug,
  state: 'good',
  worst: null,
  last: '2 h ago',
  looked: null,
  due: [],
  doses: [],
  water: [],
  service: [],
  incident: null,
  look: null,
  fish: [],
  changed: [],
  ...more,
})

async function round(rows: object[]) {
  answers('GET /api/round', { rows, since: null, walked: 0 })
  return shown(RoundPage, { at: '/' })
}

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
  signedIn()
  answers('GET /api/rounds', { mine: null, open: [], before: [], people: [] })
  answers('GET /api/systems', [])
})

it('says that nothing is due only where no row says anything of the kind', async () => {
  const page = await round([row('nursery'), row('pond', { changed: ['Ammonia was good, is watch'] })])
  expect(page.find('.first').text()).toBe('No system needs action now. Nothing is due.')
})

it.each([
  ['a test', { due: [{ name: 'Ammonia', stands: 'late' }] }],
  ['a dose', { doses: ['Praziquantel: Dose 2 of 3 is due now.'] }],
  ['a change', { water: ['Change 299 L now.'] }],
  ['a service', { service: ['Bay 3: vacuum the floor'] }],
  ['a look at the fish', { look: { code: 'look.due', text: 'They are due.' } }],
  ['a sign to look for again', { fish: ['flashing, 2 days ago'] }],
])('%s is due', async (_, more) => {
  const page = await round([row('nursery', more), row('pond')])
  expect(page.find('.first').text()).toContain('Something is due at 1 of 2.')
})

it('names first who cannot wait', async () => {
  const page = await round([row('pond', { state: 'emergency' }), row('vat', { state: 'act' }), row('tub')])
  expect(page.find('.first').text()).toContain('pond, vat first: act now.')
})

it('leads an empty book to its beginning, and a round that failed to nothing of the kind', async () => {
  expect((await round([])).text()).toContain('The book is empty.')
  queryClient.clear()
  signedIn()
  answers('GET /api/round', { message: 'Something went wrong here.' }, 500)
  const page = await shown(RoundPage, { at: '/' })
  expect(page.find('[role=alert]').text()).toBe('Something went wrong here.')
  expect(page.text()).not.toContain('The book is empty.')
  expect(page.text()).not.toContain('Nothing is due')
})
