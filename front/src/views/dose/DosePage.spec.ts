import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers, asked, dies, refuses } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import DosePage from './DosePage.vue'

const BENCH = {
  title: '',
  fields: [],
  errors: {},
  refused: false,
  measure: null,
  figures: [],
  steps: [],
  cautions: [],
}
const thing = (more: object = {}) => ({
  id: 'salt',
  name: 'Salt',
  basis: null,
  about: null,
  refusals: [],
  later: null,
  bench: BENCH,
  conditions: [],
  measure: '3,000 g',
  amount: 3000,
  rounding: 'Rounded down',
  shelf: null,
  split: [],
  wash_out: null,
  way: 'prolonged',
  unit: 'g',
  unit_given: 'g',
  stock: null,
  order: [],
  course: null,
  minutes: null,
  ...more,
})
const page = (found: object | null) => ({
  bodies: [{ id: 'all', name: 'all of it', litres: 1000 }],
  things: [
    { id: 'salt', name: 'Salt', group: 'Salts', purposes: ['nitrite'] },
    { id: 'prazi', name: 'Praziquantel', group: 'Medicines', purposes: ['flukes'] },
  ],
  thing: found,
  state: [],
  given: [],
  not_offered: [],
})
const DOSE = '/api/systems/vat/dose'
const given = () => asked.filter((one) => one.method === 'PUT')

type Page = Awaited<ReturnType<typeof shown>>
async function open(found: object, writes = true): Promise<Page> {
  signedIn(writes)
  answers(`GET ${DOSE}`, (one: { query: Record<string, string> }) =>
    page('typed[thing]' in one.query || 'thing' in one.query ? found : null),
  )
  const shownPage = await shown(DosePage, {
    props: { system: { slug: 'vat', name: 'Vat' } },
    at: '/vat/dose',
  })
  await pick(shownPage, 'salt')
  return shownPage
}
async function pick(at: Page, id: string): Promise<void> {
  await at
    .findAll('select')
    .find((one) => one.find(`option[value=${id}]`).exists())!
    .setValue(id)
  await vi.advanceTimersByTimeAsync(300)
  await settled()
}
const press = async (at: Page, name: RegExp) => {
  const found = at.findAll('button').find((one) => name.test(one.text()))
  if (found!.attributes('type') === 'submit') await at.find('form').trigger('submit')
  else await found!.trigger('click')
  await settled()
}
const has = (at: Page, name: RegExp) => at.findAll('button').some((one) => name.test(one.text()))

beforeEach(() => {
  queryClient.clear()
  localStorage.clear()
  answers('GET /api/systems/vat/trouble', { causes: [], watched: [], tests: [], old: [] })
  answers('GET /api/systems/vat/courses', { courses: [], charges: [] })
  answers('GET /api/sources', [])
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
})
afterEach(() => vi.useRealTimers())

it('shows no amount and no way to give what is refused, and takes as fact what has been given', async () => {
  const refused = thing({
    refusals: [{ code: 'dose.salt_with_zeolite', text: 'Take the zeolite out first.' }],
    later: 'Once it is out.',
  })
  const at = await open(refused)
  expect(at.find('[role=alert]').text()).toBe('Not now. Take the zeolite out first.')
  expect(at.text()).not.toContain('3,000 g')
  expect(has(at, /^Give/)).toBe(false)
  await press(at, /^Book it as given$/)
  expect(given().at(-1)!.body).toMatchObject({
    thing: 'salt',
    done: 'yes',
    given_unit: 'g',
    given_amount: '',
  })
})

it('gives what it says, once under one key, and what was met with it', async () => {
  const at = await open(
    thing({
      conditions: [
        { code: 'carbon_out', text: 'Take the carbon out.' },
        { code: 'air', text: 'Air on.' },
      ],
    }),
  )
  await at.find('input[type=checkbox][value=carbon_out]').setValue(true)
  expect(at.text()).toContain('or say why you give it all the same')
  await press(at, /^Give 3,000 g$/)
  await press(at, /^Give 3,000 g$/)
  expect(new Set(given().map((one) => one.path)).size).toBe(1)
  expect(given()[0]!.body).toMatchObject({
    met: ['carbon_out'],
    reason: '',
    done: 'no',
    again: 'no',
    course: 'no',
  })
  await at.find('input[type=checkbox][value=air]').setValue(true)
  expect(at.text()).not.toContain('or say why you give it all the same')
})

it('is asked again where somebody else has just given it, and then sends the same', async () => {
  const at = await open(thing())
  await press(at, /^Give/)
  refuses(`PUT ${given()[0]!.path}`, { again: 'Ann gave it just now.' })
  await press(at, /^Give 3,000 g$/)
  expect(at.text()).toContain('Ann gave it just now.')
  await press(at, /^This was given as well$/)
  expect(given().at(-1)!.body).toMatchObject({ thing: 'salt', again: 'yes', done: 'no' })
  expect(given().at(-1)!.path).toBe(given()[0]!.path)
})

it.each([
  [{ minutes: 30 }, /^Start the clock: 30 min bath$/, 'no'],
  [{ course: { repeats: 3, every_d: 7 } }, /^Start the course: 3 doses, one every\s+7 days$/, 'yes'],
  [{ course: { repeats: 3, every_d: 7 } }, /^Give it once$/, 'no'],
])('begins what it is: %o', async (more, name, course) => {
  const at = await open(thing(more))
  await press(at, name)
  expect(given()[0]!.body).toMatchObject({ course })
})

it('forgets with another treatment what was met, said and typed for the last', async () => {
  const at = await open(thing({ conditions: [{ code: 'air', text: 'Air on.' }] }))
  await at.find('input[type=checkbox]').setValue(true)
  dies(`GET ${DOSE}`)
  answers(
    `GET ${DOSE}`,
    page(thing({ id: 'prazi', name: 'Praziquantel', conditions: [{ code: 'air', text: 'Air on.' }] })),
  )
  await pick(at, 'prazi')
  expect(at.find<HTMLInputElement>('input[type=checkbox]').element.checked).toBe(false)
  expect(at.find('section h2').text()).toBe('Praziquantel')
})

it('offers only what is for the purpose, and nothing to give to whoever only reads', async () => {
  const at = await open(thing(), false)
  expect(has(at, /^(Give|Book it as given)/)).toBe(false)
  await at.find('select').setValue('flukes')
  expect(at.findAll('optgroup').map((one) => one.attributes('label'))).toEqual(['Medicines'])
})
