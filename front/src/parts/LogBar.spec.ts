import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { lastBooked } from '@/state/booked'
import { answers, dies, refuses, sent } from '@testing/server'
import { known, settled, shown, system } from '@testing/shown'
import LogBar from './LogBar.vue'

const MEANS = {
  readings: [],
  faults: [],
  asks: {},
  feed_g: null,
  change_l: null,
  change_pct: null,
  note: null,
  spot: null,
  place: null,
  taken_at: null,
}
const LOG = 'POST /api/systems/nursery/log'
const MEANING = `${LOG}/meaning`

beforeEach(() => {
  sessionStorage.clear()
  known('systems', [system('arrivals'), system('nursery')])
  answers(MEANING, MEANS)
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] })
})
afterEach(() => vi.useRealTimers())

async function bar(writes = true) {
  const page = await shown(LogBar, { props: { writes }, at: '/nursery' })
  const type = async (line: string) => {
    await page.find('input').setValue(line)
    await vi.advanceTimersByTimeAsync(200)
    await settled()
  }
  const keep = async () => {
    await page.find('form').trigger('submit')
    await settled()
  }
  return { page, type, keep, box: () => page.find('input').element as HTMLInputElement }
}

it('points at the very letters that are not understood', async () => {
  answers(MEANING, { ...MEANS, faults: [{ at: 6, length: 2, message: 'xy is no code.' }] })
  const { page, type } = await bar()
  await type('am .5 xy 3')
  expect(page.find('mark').text()).toBe('xy')
  expect(page.find('.pointed').text()).toBe('am .5 xy')
  expect(page.text()).toContain('xy is no code.')
})

it('says what it understood before anything is kept', async () => {
  answers(MEANING, { ...MEANS, feed_g: 120, change_pct: 10, place: 'bay 2', note: 'clear' })
  const { page, type } = await bar()
  await type('feed 120 change 10%')
  expect(page.findAll('li').map((one) => one.text())).toEqual([
    'Feed 120 g',
    'Change 10 % of the water',
    'Note clear',
    'in bay 2',
  ])
  expect(sent(LOG)).toEqual([])
})

it('books for the system one stands at, under one key until it is booked, and empties itself', async () => {
  dies(LOG)
  const { page, type, keep, box } = await bar()
  await type('am .5')
  await keep()
  expect(box().value).toBe('am .5')
  expect(page.find('.fault').text()).toMatch(/^No answer/)
  answers(LOG, { id: 'V', readings: [{}, {}], besides: ['120 g of feed'] })
  await keep()
  expect(box().value).toBe('')
  expect(lastBooked.value).toEqual({
    visit: 'V',
    slug: 'nursery',
    system: 'Nursery',
    count: 2,
    besides: ['120 g of feed'],
  })
  await type('ph 8')
  await keep()
  const keys = sent(LOG).map((body) => (body as { id: string }).id)
  expect(keys[1]).toBe(keys[0])
  expect(keys[2]).not.toBe(keys[1])
})

it('keeps the line that is refused, says why, and forgets why once the line is changed', async () => {
  refuses(LOG, { line: 'pH cannot be 78.' })
  const { page, type, keep, box } = await bar()
  await type('ph 78')
  await keep()
  expect(box().value).toBe('ph 78')
  expect(page.text()).toContain('pH cannot be 78.')
  await type('ph 7.8')
  expect(page.text()).not.toContain('pH cannot be 78.')
})

it('is closed to whoever only reads', async () => {
  expect((await bar(false)).box().disabled).toBe(true)
})
