import { beforeEach, expect, it } from 'vitest'
import { answers, asked, dies, refuses, sent } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import RoundBar from './RoundBar.vue'
import SkipIt from './SkipIt.vue'

const mine = (more: object = {}) => ({
  id: 'R',
  began_at: '2026-06-01T07:00:00Z',
  looked: ['nursery'],
  skipped: [],
  passed_by: null,
  passed_note: null,
  ...more,
})
const rounds = (more: object = {}) => ({
  mine: mine(),
  others: [],
  people: [{ id: 'T', name: 'Tobias' }],
  since: null,
  ...more,
})
const bar = (more: object = {}) => shown(RoundBar, { props: { rounds: rounds(more), systems: 6 } })
type Page = Awaited<ReturnType<typeof shown>>
const press = async (page: Page, name: string) => {
  await page
    .findAll('button')
    .find((one) => one.text() === name)!
    .trigger('click')
  await settled()
}
const submit = async (page: Page) => {
  await page.find('form').trigger('submit')
  await settled()
}

beforeEach(() => signedIn())

it('begins under a key of its own, the same until it is begun', async () => {
  const page = await bar({ mine: null, others: [{ began_at: '2026-06-01T07:00:00Z', by: 'Tobias' }] })
  expect(page.text()).toContain('Tobias walks since Mon 1 Jun, 08:00.')
  await press(page, 'Begin my round')
  await press(page, 'Begin my round')
  const paths = asked.filter((one) => one.method === 'PUT').map((one) => one.path)
  expect(paths).toHaveLength(2)
  expect(paths[0]).toMatch(/^\/api\/rounds\/[0-9A-Z]{26}$/)
  expect(paths[1]).toBe(paths[0])
})

it('tells how far it is, and what came with it from whoever handed it over', async () => {
  const page = await bar({
    mine: mine({ skipped: ['cold-store'], passed_by: 'Maren', passed_note: 'bay 2 is shut' }),
  })
  expect(page.text()).toMatch(/1 of\s+6 looked at, 1 skipped\./)
  expect(page.find('.note').text()).toBe('Maren handed it to you: bay 2 is shut')
})

it('is not finished while something is left, says what, and keeps what was typed', async () => {
  refuses('PUT /api/rounds/R/end', { left: 'Nursery and Arrivals are left.' })
  const page = await bar()
  await press(page, 'Finish the round')
  await page.find('input').setValue('all quiet')
  await submit(page)
  expect(page.find('[role=alert]').text()).toBe('Nursery and Arrivals are left.')
  expect((page.find('input').element as HTMLInputElement).value).toBe('all quiet')
  answers('PUT /api/rounds/R/end', {})
  await submit(page)
  expect(sent('PUT /api/rounds/R/end').at(-1)).toEqual({ note: 'all quiet' })
  expect(page.find('form').exists()).toBe(false)
})

it('is handed to somebody with a word, and to nobody where nobody is there', async () => {
  answers('PUT /api/rounds/R/pass', {})
  const page = await bar()
  await press(page, 'Hand it over')
  await page.find('select').setValue('T')
  await page.find('input').setValue('bay 2 is shut')
  await submit(page)
  expect(sent('PUT /api/rounds/R/pass')).toEqual([{ to: 'T', note: 'bay 2 is shut' }])
  expect((await bar({ people: [] })).text()).not.toContain('Hand it over')
})

it('skips a system for a reason that is asked for, and takes that back', async () => {
  const props = { slug: 'cold-store', name: 'Cold Store', round: 'R', skipped: null }
  const path = '/api/systems/cold-store/skips/R'
  refuses(`PUT ${path}`, { why: 'Say why.' })
  const page = await shown(SkipIt, { props })
  await press(page, 'Skip')
  await submit(page)
  expect(page.find('[role=alert]').text()).toBe('Say why.')
  dies(`PUT ${path}`)
  await page.find('input').setValue('empty')
  await submit(page)
  expect(page.find('[role=alert]').text()).toMatch(/^No answer/)
  expect((page.find('input').element as HTMLInputElement).value).toBe('empty')
  answers(`PUT ${path}`, {})
  await submit(page)
  expect(sent(`PUT ${path}`).at(-1)).toEqual({ why: 'empty' })
  expect(page.find('form').exists()).toBe(false)
  answers(`DELETE ${path}`, {})
  await page.setProps({ skipped: 'empty' })
  await press(page, 'Not skipped after all')
  expect(asked).toContainEqual(expect.objectContaining({ method: 'DELETE', path }))
})
