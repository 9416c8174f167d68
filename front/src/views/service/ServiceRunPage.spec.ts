import { beforeEach, describe, expect, it } from 'vitest'
import { queryClient } from '@/api/queries'
import { signal } from '@/api/signal/signal'
import { answers, asked, refuses, sent } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import ServiceRunPage from './ServiceRunPage.vue'

const step = (text: string, more: object = {}) => ({
  text,
  done: false,
  by: null,
  flow: false,
  switches: false,
  caution: false,
  ...more,
})
const run = (more: object = {}) => ({
  id: 'R',
  part: 'Moving bed',
  job: 'Wash the mats',
  steps: [
    step('Throttle the pump.', { done: true, by: 'Tobias' }),
    step('Switch the pump off.', { switches: true }),
    step('Water runs again.', { flow: true }),
  ],
  open: [],
  after: [],
  ended: null,
  water_l: null,
  planned_min: 20,
  ...more,
})
const RUN = '/api/systems/vat/services/R'
const allDone = (more: object = {}) =>
  run({ steps: run().steps.map((one) => ({ ...one, done: true })), ...more })

/** What stands at the server; an answer to what is sent changes it. */
let stands: object
const becomes = (to: string, now: object) => answers(`PUT ${RUN}/${to}`, () => (stands = now))

async function open(found: object, writes = true) {
  signedIn(writes)
  stands = found
  answers(`GET ${RUN}`, () => stands)
  return shown(ServiceRunPage, {
    props: { system: { slug: 'vat', name: 'Vat' } },
    at: '/vat/service/R',
  })
}
type Page = Awaited<ReturnType<typeof open>>
const button = (page: Page, name: RegExp) => page.findAll('button').find((one) => name.test(one.text()))
const press = async (page: Page, name: RegExp) => {
  await button(page, name)!.trigger('click')
  await settled()
}

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
  window.history.replaceState({}, '', '/vat/service/R')
})

describe('a service, one step at a time', () => {
  it('stands at the first step that is not done, whoever did the others', async () => {
    const page = await open(run())
    expect(page.find('.big').text()).toBe('Switch the pump off.')
    expect(page.find('[aria-current=step]').text()).toBe('2')
    await page.findAll('.dots button')[0]!.trigger('click')
    expect(page.text()).toContain('Done, Tobias.')
    expect(button(page, /Done, next|I did it/)).toBeUndefined()
  })

  it('books what is switched, and goes on with what the server says stands now', async () => {
    const page = await open(run())
    becomes('steps/1', run({ steps: run().steps.map((one, n) => ({ ...one, done: n < 2 })) }))
    await press(page, /I did it: book it/)
    expect(sent(`PUT ${RUN}/steps/1`)).toEqual([{ done: true }])
    expect(page.find('.big').text()).toBe('Water runs again.')
  })

  it('has no plain “done” for the step at which flow must be seen', async () => {
    const page = await open(run({ steps: [step('Water runs again.', { flow: true })] }))
    expect(button(page, /Done, next/)).toBeUndefined()
    refuses(`PUT ${RUN}/flow`, { flow_l_h: '“lots” is not a number.' })
    await page.find('.figure input').setValue('lots')
    await page.find('.figure').trigger('submit')
    await settled()
    expect(sent(`PUT ${RUN}/flow`)).toEqual([{ flow_l_h: 'lots' }])
    expect(page.find('.figure').text()).toContain('“lots” is not a number.')
    expect(page.find<HTMLInputElement>('.figure input').element.value).toBe('lots')
    becomes('flow', allDone())
    await press(page, /I see it flow/)
    expect(sent(`PUT ${RUN}/flow`)[1]).toEqual({ seen: true })
    expect(button(page, /Close it/)).toBeDefined()
  })

  it('is not closed while the server says that something stands, and keeps what was written', async () => {
    const page = await open(allDone({ water_l: 120 }))
    await page.findAll('.ending input')[1]!.setValue('12.50')
    refuses(`PUT ${RUN}/end`, { flow: 'No flow was seen since the pump was switched off.' })
    await page.find('.ending').trigger('submit')
    await settled()
    expect(page.find('[role=alert]').text()).toBe('No flow was seen since the pump was switched off.')
    expect(page.findAll<HTMLInputElement>('.ending input')[1]!.element.value).toBe('12.50')
    becomes(
      'end',
      allDone({ ended: '2026-11-29', water_l: 120, after: [{ code: 'a', text: 'Test in two hours.' }] }),
    )
    await page.find('.ending').trigger('submit')
    await settled()
    expect(page.find('.big').text()).toBe('Done.')
    expect(page.text()).toContain('Test in two hours.')
    expect(page.text()).not.toContain('Give it up')
  })

  it('says when it could not be booked, and stays where it was', async () => {
    const page = await open(run())
    answers(`PUT ${RUN}/steps/1`, { message: 'Something went wrong here.' }, 500)
    await press(page, /I did it: book it/)
    expect(page.find('[role=alert]').text()).toContain('Something went wrong here.')
    expect(page.find('.big').text()).toBe('Switch the pump off.')
  })

  it('counts what waits for the signal as done here, and nothing of another service', async () => {
    const entry = (path: string) => ({ method: 'PUT', path, body: '', says: '', person: 'Maren', madeAt: '' })
    signal.waiting = [entry(`${RUN}/steps/1`), entry('/api/systems/vat/services/S/flow')] as never
    const page = await open(run())
    expect(page.find('.big').text()).toBe('Water runs again.')
    signal.waiting = [...signal.waiting, entry(`${RUN}/flow`)] as never
    await settled()
    expect(button(page, /Close it/)).toBeDefined()
    signal.waiting = []
  })

  it('is only looked at by whoever reads', async () => {
    const page = await open(run(), false)
    expect(page.find('.big').text()).toBe('Switch the pump off.')
    expect(page.findAll('button').map((one) => one.text())).toEqual(['1', '2', '3'])
    expect(asked.filter((one) => one.method !== 'GET')).toEqual([])
  })

  it('tells that it cannot be opened', async () => {
    signedIn()
    answers(`GET ${RUN}`, { message: 'There is no such service.' }, 404)
    const page = await shown(ServiceRunPage, { props: { system: { slug: 'vat' } }, at: '/vat/service/R' })
    expect(page.find('[role=alert]').text()).toBe('There is no such service.')
  })
})
