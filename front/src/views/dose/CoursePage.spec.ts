import { beforeEach, describe, expect, it } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers, asked, refuses } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import CoursePage from './CoursePage.vue'

const dose = (n: number, state: string) => ({ n, on: `2026-11-${20 + 3 * n}`, state })
const course = (more: object = {}) => ({
  id: 'C',
  name: 'Praziquantel',
  where: null,
  level: '2.5 mg/L',
  began: '23 Nov',
  ended: null,
  end_reason: null,
  says: 'Dose 2 of 3 is due now.',
  broken: false,
  complete: false,
  every_d: 3,
  doses: [dose(1, 'given'), dose(2, 'due'), dose(3, 'to_come')],
  curve: [],
  left: '1.2 mg/L',
  top_up: '6.5 g',
  shelf: null,
  adsorbed: null,
  daily: 'Look at the gills daily.',
  stop: 'Fish off their food for days.',
  refusals: [],
  conditions: [{ code: 'dose.carbon_out', text: 'The carbon is out.' }],
  after: [{ key: 'carbon', text: 'Carbon back in.', done: false }],
  ...more,
})
const page = (courses: object[], charges: object[] = []) => ({
  courses,
  charges,
  washes: [],
  culture: 'None was given.',
  temp_c: 18,
  temp_assumed: false,
})
const COURSES = '/api/systems/vat/courses'
const written = () => asked.filter((one) => one.method === 'PUT')

async function open(found: object, writes = true) {
  signedIn(writes)
  answers(`GET ${COURSES}`, found)
  return shown(CoursePage, { props: { system: { slug: 'vat', name: 'Vat' } }, at: '/vat/course' })
}
type Page = Awaited<ReturnType<typeof open>>
const button = (at: Page, name: RegExp) => at.findAll('button').find((one) => name.test(one.text()))
const press = async (at: Page, name: RegExp) => {
  await button(at, name)!.trigger('click')
  await settled()
}

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
})

describe('a course', () => {
  it('offers the next dose with its amount, and what was met goes with it', async () => {
    const at = await open(page([course()]))
    expect(at.text()).toContain('Give 6.5 g.')
    expect(button(at, /^Dose/)!.text()).toBe('Dose 2 is in: 6.5 g')
    await at.find('input[type=checkbox]').setValue(true)
    answers(`PUT ${COURSES}/C/doses/*`, page([course()]))
    await press(at, /^Dose 2 is in/)
    expect(written()[0]!.body).toEqual({ top_up: 'no', reason: '', met: ['dose.carbon_out'] })
    expect(written()[0]!.path).toMatch(/^\/api\/systems\/vat\/courses\/C\/doses\/[0-9A-Z]{26}$/)
  })

  it('asks for a reason only when the server does, and sends the same dose again with it', async () => {
    const at = await open(page([course()]))
    expect(at.text()).not.toContain('Reason to give it anyway')
    await press(at, /^Dose 2 is in/)
    const path = written()[0]!.path
    refuses(`PUT ${path}`, { reason: 'It is two days early: say why.' })
    await press(at, /^Dose 2 is in/)
    expect(at.text()).toContain('It is two days early: say why.')
    const field = at.findAll('form input, form textarea')[0]!
    await field.setValue('new fish showed flukes')
    await press(at, /^Dose 2 is in/)
    const last = written().at(-1)!
    expect(last.path).toBe(path)
    expect(last.body).toMatchObject({ reason: 'new fish showed flukes' })
  })

  it('a top-up is no dose of the course', async () => {
    const at = await open(page([course()]))
    await press(at, /Give only the top-up/)
    expect(written()[0]!.body).toMatchObject({ top_up: 'yes' })
  })

  it.each([
    ['complete', { complete: true, top_up: null }, true],
    ['broken off by its rule', { broken: true, top_up: null }, false],
  ])('that is %s takes no further dose', async (_, state, afterwards) => {
    const at = await open(page([course(state)]))
    expect(button(at, /is in/)).toBeUndefined()
    expect(button(at, /top-up/)).toBeUndefined()
    expect(at.text().includes('Afterwards')).toBe(afterwards)
  })

  it('says why no further dose goes in now', async () => {
    const refusals = [{ code: 'dose.oxygen', text: 'Oxygen is 4 mg/L.' }]
    const at = await open(page([course({ refusals })]))
    expect(at.find('.danger').text()).toBe('No further dose now: Oxygen is 4 mg/L.')
  })

  it('is ended with a reason, and what comes after is ticked one by one', async () => {
    const at = await open(page([course({ complete: true })]))
    refuses(`PUT ${COURSES}/C/end`, { reason: 'Say why it ends.' })
    await at.find('form').trigger('submit')
    await settled()
    expect(at.text()).toContain('Say why it ends.')
    answers(`PUT ${COURSES}/C/after/carbon`, page([]))
    await press(at, /^Done$/)
    expect(written().map((one) => one.path)).toEqual([`${COURSES}/C/end`, `${COURSES}/C/after/carbon`])
  })

  it('that is ended stands with why, and offers nothing but what is left to do', async () => {
    const at = await open(page([course({ ended: '28 Nov', end_reason: 'two fish off balance' })]))
    expect(at.text()).toContain('ended 28 Nov: two fish off balance')
    expect(at.text()).toContain('No course is running here.')
    expect(button(at, /is in|End the course/)).toBeUndefined()
    expect(button(at, /^Done$/)).toBeDefined()
  })

  it('gives whoever reads nothing to press', async () => {
    const at = await open(page([course({ complete: true })]), false)
    expect(at.findAll('button').filter((one) => /is in|End|Done|top-up/.test(one.text()))).toEqual([])
    expect(at.find('input[type=checkbox]').exists()).toBe(false)
  })

  it('what hangs in the loop and is against it is told first', async () => {
    const charge = {
      id: 'Z',
      text: 'Zeolite, 500 g',
      cautions: [
        { level: 'danger', code: 'x', text: 'Salt is in the water: take it out.' },
        { level: 'note', code: 'y', text: 'Rinsed before use.' },
      ],
    }
    const at = await open(page([], [charge]))
    const first = at.find('section').text()
    expect(first).toContain('Zeolite, 500 g: Salt is in the water: take it out.')
    expect(first).not.toContain('Rinsed before use.')
  })
})
