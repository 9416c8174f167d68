import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { queryClient } from '@/api/queries'
import { lastBooked } from '@/state/booked'
import { answers, asked, dies, refuses, sent } from '@testing/server'
import { known, settled, shown, signedIn } from '@testing/shown'
import TestPage from './TestPage.vue'

const parameter = (id: string, name: string, units: [string, string][] = []) => ({
  id,
  name,
  code: id,
  symbol: units[0]?.[1] ?? null,
  units: units.map(([unit, symbol]) => ({ id: unit, symbol })),
})
const PARAMETERS = [
  parameter('temp_c', 'Temperature', [
    ['c', '°C'],
    ['f', '°F'],
  ]),
  parameter('ph', 'pH'),
  parameter('tan_mg_l', 'Ammonia', [
    ['mg_l_n', 'mg/L as N'],
    ['mg_l_nh4', 'mg/L as NH₄'],
  ]),
]
const system = (due: string[] = ['tan_mg_l']) => ({
  slug: 'vat',
  name: 'Vat',
  build: {
    vessels: [
      { id: 'B1', name: 'Bay 1' },
      { id: 'B2', name: 'Bay 2' },
    ],
  },
  spots: [],
  schedule: { next: 'pH on Monday', tests: due.map((id) => ({ parameter: id, name: id, stands: 'due' })) },
})
const MEANING = 'POST /api/systems/vat/meaning'
const VISITS = 'POST /api/systems/vat/visits'
const strip = (id: string, state = 'good') => ({
  parameter: id,
  name: id,
  text: '1',
  unit: null,
  low: 1,
  high: 1,
  state,
  passed: `over for ${id}`,
  sentence: id,
  scale: { from: 0, to: 2 },
  bands: [],
  figure: null,
})

type Page = Awaited<ReturnType<typeof shown>>
const open = async (at = '/vat/test', due?: string[]) =>
  shown(TestPage, { props: { system: system(due) }, at })
const box = (page: Page, name: string) =>
  page.find<HTMLInputElement>(
    `#${page
      .findAll('label')
      .find((one) => one.text() === name)!
      .attributes('for')}`,
  )
const type = async (page: Page, name: string, text: string) => {
  await box(page, name).setValue(text)
  await vi.advanceTimersByTimeAsync(200)
  await settled()
}
const book = async (page: Page) => {
  await page.find('form').trigger('submit')
  await settled()
}

beforeEach(() => {
  sessionStorage.clear()
  queryClient.clear()
  lastBooked.value = null
  signedIn()
  known('vocabulary', { parameters: PARAMETERS })
  answers('GET /api/shelf', { kits: [] })
  answers('GET /api/systems/vat/trouble', { causes: [], watched: [], tests: [], old: [] })
  answers(MEANING, { strips: [], asks: {}, errors: {} })
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
})
afterEach(() => vi.useRealTimers())

it('asks first for what is due, and for everything where nothing is', async () => {
  const names = (page: Page) => page.findAll('label.name').map((one) => one.text())
  const page = await open()
  expect(names(page)).toEqual(['Ammonia', 'Temperature', 'pH'])
  expect(page.text()).toContain('Not due')
  const none = await open('/vat/test', [])
  expect(names(none)).toEqual(['Temperature', 'pH', 'Ammonia'])
  expect(none.text()).toContain('No test is due. Next: pH on Monday.')
})

it('books what was typed in its unit, and goes on under a new key', async () => {
  answers(VISITS, { id: 'V', readings: [{}, {}] })
  const page = await open()
  await type(page, 'Ammonia', '.5')
  await page.find('[aria-label="Unit of Temperature"]').setValue('f')
  await type(page, 'Temperature', '64,5')
  await page.find('.finish select').setValue('B2')
  await book(page)
  const [first] = sent(VISITS) as [{ id: string; readings: object; vessel_id: string; taken_at: null }]
  expect(first.readings).toEqual({
    tan_mg_l: { typed: '.5', unit: 'mg_l_n' },
    temp_c: { typed: '64,5', unit: 'f' },
  })
  expect([first.vessel_id, first.taken_at]).toEqual(['B2', null])
  expect(lastBooked.value).toMatchObject({ visit: 'V', count: 2, system: 'Vat' })
  expect(page.router.currentRoute.value.fullPath).toBe('/vat')
  const next = await open()
  await type(next, 'pH', '7.8')
  await book(next)
  expect((sent(VISITS)[1] as { id: string }).id).not.toBe(first.id)
})

describe('nothing that was typed is lost', () => {
  it('where the page is loaded anew', async () => {
    const page = await open()
    await type(page, 'pH', '7.8')
    page.unmount()
    expect(box(await open(), 'pH').element.value).toBe('7.8')
  })

  it('where it is refused: the reason stands at its field until something is typed', async () => {
    refuses(VISITS, { 'readings.ph': 'pH cannot be 78.', taken_at: 'This is still to come.' })
    const page = await open()
    await type(page, 'pH', '78')
    await book(page)
    const ph = box(page, 'pH')
    expect(ph.element.value).toBe('78')
    expect(page.find(`[id="${ph.attributes('aria-describedby')}"]`).text()).toBe('pH cannot be 78.')
    expect(page.find('.finish').text()).toContain('This is still to come.')
    await type(page, 'pH', '7.8')
    expect(page.text()).not.toContain('pH cannot be 78.')
  })

  it('where no answer comes: the same is sent again under the same key', async () => {
    dies(VISITS)
    const page = await open()
    await type(page, 'pH', '7.8')
    await book(page)
    expect(page.find('.finish [role=alert]').text()).toMatch(/^No answer/)
    await book(page)
    const keys = sent(VISITS).map((body) => (body as { id: string }).id)
    expect(new Set(keys).size).toBe(1)
    expect(box(page, 'pH').element.value).toBe('7.8')
  })
})

it('shows as it is typed what a reading means, and asks for pH where ammonia alone says too little', async () => {
  answers(MEANING, {
    strips: [strip('tan_mg_l', 'act')],
    asks: { tan_mg_l: { text: 'Far from the last.' } },
    errors: {},
  })
  const page = await open()
  await type(page, 'Ammonia', '1')
  const row = page.find('.row')
  expect(row.text()).toContain('act')
  expect(row.text()).toContain('over for tan_mg_l')
  expect(row.find('[role=status]').text()).toBe('Far from the last.')
  expect(page.find('.meaning').text()).toContain('Test pH and temperature too')
  answers(MEANING, { strips: [strip('tan_mg_l'), strip('nh3_n_mg_l', 'watch')], asks: {}, errors: {} })
  await type(page, 'pH', '8')
  expect(page.find('.meaning').text()).not.toContain('Test pH and temperature too')
  expect(page.find('.meaning [data-parameter=nh3_n_mg_l]').exists()).toBe(true)
})

it('offers the colours of the kit in use, in the unit it is marked in', async () => {
  answers('GET /api/shelf', {
    kits: [
      { in_use: false, parameter: 'tan_mg_l', unit: null, steps: [9] },
      { in_use: true, parameter: 'tan_mg_l', unit: 'mg_l_n', steps: [0, 0.25, 0.5] },
    ],
  })
  const page = await open()
  const colours = () => page.findAll('[aria-label="Colours of Ammonia"] button')
  expect(colours().map((one) => one.text())).toEqual(['0', '0.25', '0.5'])
  await colours()[1]!.trigger('click')
  expect(box(page, 'Ammonia').element.value).toBe('0.25')
  expect(colours()[1]!.attributes('aria-pressed')).toBe('true')
  await page.find('[aria-label="Unit of Ammonia"]').setValue('mg_l_nh4')
  expect(colours()).toEqual([])
})

it('lays a test that is corrected open as it was booked, and says which it replaces', async () => {
  answers('GET /api/visits/V0', {
    id: 'V0',
    taken_at: '2026-06-01T07:00:00Z',
    spot: null,
    bay: 'Bay 2',
    readings: [
      { parameter: 'ph', typed: '7,8', unit: null },
      { parameter: 'temp_c', typed: '64', unit: '°F' },
    ],
  })
  answers(VISITS, { id: 'V1', readings: [{}] })
  const page = await open('/vat/test?corrects=V0')
  expect(page.text()).toContain('1 Jun 2026, 08:00')
  expect([box(page, 'pH').element.value, box(page, 'Temperature').element.value]).toEqual(['7,8', '64'])
  await type(page, 'pH', '7.6')
  await book(page)
  expect(sent(VISITS)).toMatchObject([
    {
      corrects: 'V0',
      vessel_id: 'B2',
      taken_at: '2026-06-01T07:00:00Z',
      readings: { ph: { typed: '7.6', unit: null }, temp_c: { typed: '64', unit: 'f' } },
    },
  ])
  expect(asked.some((one) => one.path === '/api/visits/V0')).toBe(true)
})
