import { afterEach, beforeEach, expect, it } from 'vitest'
import type { VueWrapper } from '@vue/test-utils'
import { queryClient } from '@/api/queries'
import { lastBooked } from '@/state/booked'
import { closeSlip, openFigure } from '@/state/slip'
import { answers, asked } from '@testing/server'
import { known, settled, shown, signedIn, system } from '@testing/shown'
import AppFrame from './AppFrame.vue'

const person = { name: 'Maren', writes: true, site: { name: 'Withy Yard' } }
let page: VueWrapper & { router: import('vue-router').Router }

async function frame(at = '/nursery', writes = true) {
  page = await shown(AppFrame, { props: { person: { ...person, writes } }, at, attached: true })
  return page
}
const press = async (...keys: string[]) => {
  for (const key of keys) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  await settled()
}
const here = () => page.router.currentRoute.value.fullPath

beforeEach(() => {
  queryClient.clear()
  closeSlip()
  lastBooked.value = null
  signedIn()
  known('systems', [system('arrivals'), system('nursery')])
  answers('GET /api/timers', [])
})
afterEach(() => page.unmount())

it.each([
  [['g', 'w'], '/nursery/water'],
  [['g', 'd'], '/nursery/dose'],
  [['g', '1'], '/arrivals'],
  [['g', '7'], '/nursery'],
  [['g', 'r'], '/'],
  [['g', 'x'], '/shelf'],
  [['w'], '/nursery'],
])('keys %o lead to %s', async (keys, to) => {
  await frame()
  await press(...keys)
  expect(here()).toBe(to)
})

it('goes to no page of a system where none is open', async () => {
  await frame('/shelf')
  await press('g', 'w')
  expect(here()).toBe('/shelf')
})

it('reaches the log bar and the search by a key, and types there what is typed', async () => {
  await frame()
  await press('.')
  expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Readings/)
  document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: 'g', bubbles: true }))
  document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: 'w', bubbles: true }))
  await settled()
  expect(here()).toBe('/nursery')
  document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
  await press('/')
  expect(document.activeElement?.getAttribute('aria-label')).toBe('Find a system')
})

it('closes the slip by Esc, and lists the keys when asked', async () => {
  await frame()
  openFigure.value = { label: 'Load', text: '1', origins: [], parts: [], input: {}, calc: null } as never
  await settled()
  expect(page.find('[aria-label=Working]').exists()).toBe(true)
  await press('Escape')
  expect(page.find('[aria-label=Working]').exists()).toBe(false)
  await press('?')
  const keys = page.find('dialog')
  expect(keys.findAll('kbd').map((one) => one.text())).toContain('g w')
  const letters = keys.findAll('kbd').map((one) => one.text())
  expect(new Set(letters).size, 'no key stands for two pages').toBe(letters.length)
})

it('offers to add a system only to whoever writes', async () => {
  expect((await frame()).find('a[href="/new"]').exists()).toBe(true)
  page.unmount()
  expect((await frame('/nursery', false)).find('a[href="/new"]').exists()).toBe(false)
  expect(page.find('.who').text()).toBe('Maren, reads only')
})

it.each([
  [
    { visit: 'V', slug: 'nursery', system: 'Nursery', count: 2 },
    'DELETE /api/visits/V',
    'Booked 2 readings at',
  ],
  [
    { visit: 'V', slug: 'nursery', system: 'Nursery', count: 1, besides: ['120 g of feed'] },
    'DELETE /api/systems/nursery/log/V',
    'Booked 1 reading, 120 g of feed at',
  ],
])('takes back what was booked last, all of it: %o', async (booked, ask, says) => {
  answers(ask, {})
  await frame()
  lastBooked.value = booked
  await settled()
  expect(page.find('.booked').text()).toContain(says)
  await page.find('.booked button').trigger('click')
  await settled()
  expect(asked.map((one) => `${one.method} ${one.path}`)).toContain(ask)
  expect(page.find('.booked').exists()).toBe(false)
})

it('keeps the offer where it cannot be taken back, and says why', async () => {
  answers('DELETE /api/visits/V', { message: 'It was corrected since.' }, 409)
  await frame()
  lastBooked.value = { visit: 'V', slug: 'nursery', system: 'Nursery', count: 2 }
  await settled()
  await page.find('.booked button').trigger('click')
  await settled()
  expect(page.find('.booked .fault').text()).toBe('It was corrected since.')
})

it('leads to what is wrong from any page of a system', async () => {
  expect((await frame('/nursery/dose')).find('footer a').attributes('href')).toBe('/nursery/trouble')
  page.unmount()
  expect((await frame('/shelf')).find('footer a').attributes('href')).toBe('/calendar')
})
