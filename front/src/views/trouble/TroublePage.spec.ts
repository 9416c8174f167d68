import { beforeEach, describe, expect, it } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers, asked, refuses } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import TroublePage from './TroublePage.vue'

const sign = (id: string, says: string, seen = false) => ({ id, says, seen })
const trouble = (more: object = {}) => ({
  signs: [sign('gasping', 'gasping at the surface'), sign('flashing', 'flashing, rubbing')],
  causes: [],
  readings: [],
  watched: [],
  tests: [],
  old: [],
  suspects: [],
  events: [
    { id: 'seen', name: 'Something is seen' },
    { id: 'power_cut', name: 'A power cut' },
  ],
  all_causes: [{ id: 'pump', name: 'The pump stood' }],
  no_volume: null,
  changed: null,
  behind: null,
  incident: null,
  ...more,
})
const open = (more: object = {}) =>
  trouble({
    incident: {
      id: 'I',
      event: 'A power cut',
      opened_at: '2026-11-29T08:00:00Z',
      worse: [],
      missing: [{ code: 'a', text: 'Ammonia is not good yet.' }],
    },
    ...more,
  })
const TROUBLE = '/api/systems/vat/trouble'
const written = () => asked.filter((one) => one.method === 'PUT')
const INCIDENT = /^\/api\/systems\/vat\/incidents\/[0-9A-Z]{26}$/

async function at(found: object, writes = true) {
  signedIn(writes)
  answers(`GET ${TROUBLE}`, found)
  answers('GET /api/systems/vat/incidents', [])
  answers('GET /api/systems/vat/refuges', { places: [] })
  return shown(TroublePage, {
    props: { system: { slug: 'vat', name: 'Vat', fish_count: 0 } },
    at: '/vat/trouble',
  })
}
type Page = Awaited<ReturnType<typeof at>>
const box = (page: Page, n: number) => page.findAll<HTMLInputElement>('.signs input')[n]!
const press = async (page: Page, name: RegExp) => {
  await page
    .findAll('button')
    .find((one) => name.test(one.text()))!
    .trigger('click')
  await settled()
}

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
})

describe('what is seen', () => {
  it('stands in the address while no incident is open', async () => {
    const page = await at(trouble())
    await box(page, 0).setValue(true)
    await settled()
    expect(page.router.currentRoute.value.query).toEqual({ seen: 'gasping' })
    await box(page, 1).setValue(true)
    await settled()
    expect(asked.at(-1)!.query).toEqual({ seen: 'gasping,flashing' })
    expect(written()).toEqual([])
  })

  it('of an open incident is told sign by sign, so that two who tick at once lose nothing', async () => {
    const page = await at(open({ signs: [sign('gasping', 'gasping', true), sign('flashing', 'flashing')] }))
    await box(page, 1).setValue(true)
    await box(page, 0).setValue(false)
    await settled()
    expect(written().map((one) => one.body)).toEqual([
      { event: 'seen', signs: ['flashing'], gone: [] },
      { event: 'seen', signs: [], gone: ['gasping'] },
    ])
    expect(written()[0]!.path).toMatch(INCIDENT)
  })

  it('that could not be told is said, and is not ticked', async () => {
    const page = await at(open())
    await box(page, 0).setValue(true)
    await settled()
    expect(page.find('.signs [role=alert]').text()).toMatch(/Nothing answers/)
    expect(box(page, 0).element.checked).toBe(false)
  })

  it('of an open incident is nothing for whoever only reads', async () => {
    const page = await at(open(), false)
    expect(box(page, 0).element.disabled).toBe(true)
    expect(page.text()).not.toContain('Close it')
  })
})

describe('an incident', () => {
  it('is opened with what is seen; what is refused stands at its field and is not lost', async () => {
    const page = await at(trouble({ signs: [sign('gasping', 'gasping', true)] }))
    await press(page, /^Open an incident/)
    await page.find('form select').setValue('power_cut')
    await page.find('form input').setValue('lots')
    await page.find('form').trigger('submit')
    await settled()
    const path = written()[0]!.path
    expect(path).toMatch(INCIDENT)
    expect(written()[0]!.body).toEqual({ event: 'power_cut', signs: ['gasping'], minutes: 'lots' })
    expect(page.find('form [role=alert]').text()).toMatch(/Nothing answers/)

    refuses(`PUT ${path}`, { minutes: '“lots” is not a number.' })
    await page.find('form').trigger('submit')
    await settled()
    expect(page.find('form').text()).toContain('“lots” is not a number.')
    expect(page.find<HTMLInputElement>('form input').element.value).toBe('lots')
  })

  it('is closed with its cause, and with a reason while its rule is not met', async () => {
    const page = await at(open())
    expect(page.text()).toContain('Ammonia is not good yet.')
    await press(page, /^Close it/)
    expect(page.text()).toContain('Why close it already?')
    refuses('PUT /api/systems/vat/incidents/I/end', { cause: 'Say what it was.' })
    await page.find('form').trigger('submit')
    await settled()
    expect(page.find('form').text()).toContain('Say what it was.')
    await page.find('form select').setValue('pump')
    answers('PUT /api/systems/vat/incidents/I/end', { id: 'I' })
    await page.find('form').trigger('submit')
    await settled()
    expect(written().at(-1)!.body).toMatchObject({ cause: 'pump' })
    expect(page.router.currentRoute.value.name).toBe('incident')
  })
})
