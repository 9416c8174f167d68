import { beforeEach, expect, it } from 'vitest'
import { answers, asked, refuses, sent } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import ShelfGoods from './ShelfGoods.vue'

const kind = (id: string, label: string[], more: object = {}) => ({
  id,
  name: id.replace(/^./, (letter) => letter.toUpperCase()),
  unit: 'mL',
  label,
  has_strength: false,
  usual_pct: null,
  ...more,
})
const KINDS = [
  kind('binder', ['label_ml', 'label_treats_l', 'label_binds_mg_l']),
  kind('salt', [], { unit: 'g' }),
  kind('peroxide', [], { has_strength: true, usual_pct: 3 }),
]
const good = (more: object = {}) => ({
  id: 'G',
  name: 'Blue bottle',
  kind: 'binder',
  unit: 'mL',
  label: { label_ml: 10, label_treats_l: 200, label_binds_mg_l: 1 },
  cap_ml: 5,
  amount: 480,
  left: '480 mL',
  strength_pct: null,
  opened: null,
  opened_on: null,
  lot: 'A7',
  expires_on: '2027-03-01',
  expired: false,
  ...more,
})
const shelf = (more: object = {}) => ({ kinds: KINDS, goods: [good()], wanted: [], ...more })
const open = (more: object = {}, writes = true) =>
  shown(ShelfGoods, { props: { shelf: shelf(more), writes } })
type Page = Awaited<ReturnType<typeof shown>>
const labels = (page: Page) => page.findAll('form label').map((one) => one.text())
const press = async (page: Page, name: string) => {
  const found = page.findAll('button').find((one) => (one.attributes('aria-label') ?? one.text()) === name)
  await found!.trigger('click')
  await settled()
}
const submit = async (page: Page) => {
  await page.find('form').trigger('submit')
  await settled()
}

beforeEach(() => signedIn())

it('says a product by its own label', async () => {
  const page = await open()
  expect(page.find('.good').text().replace(/\s+/g, ' ')).toContain(
    'binder, 10 mL for 200 L, binding 1 mg/L of ammonia, caps of 5 mL, lot A7, until 1 Mar 2027',
  )
  const off = await open({ goods: [good({ expired: true })] })
  expect(off.find('.good').text()).toContain('went off 1 Mar 2027')
  expect(off.find('.good .fault').text()).toBe('expired')
})

it('asks of each kind what its label says, and nothing that it has not', async () => {
  const page = await open()
  await press(page, 'Add a product')
  expect(labels(page)).toEqual(
    expect.arrayContaining(['Label dose mL', 'for L', 'and binds mg/L as N', 'Cap size mL']),
  )
  await page.find('form select').setValue('salt')
  expect(labels(page)).toEqual(['It is', 'Name', 'Amount left g', 'Opened', 'Expires on', 'Lot'])
  await page.find('form select').setValue('peroxide')
  expect(labels(page)).toContain('Strength %')
  expect(page.text()).toContain('empty: 3')
})

it('opens what stands there as it is, and sends it whole', async () => {
  answers('PUT /api/goods/G', {})
  const page = await open()
  await press(page, 'Change Blue bottle')
  const amount = page.findAll<HTMLInputElement>('form input').find((one) => one.element.value === '480')!
  await amount.setValue('300')
  await submit(page)
  expect(sent('PUT /api/goods/G')).toMatchObject([
    {
      name: 'Blue bottle',
      kind: 'binder',
      unit: 'mL',
      label_ml: '10',
      label_treats_l: '200',
      label_binds_mg_l: '1',
      cap_ml: '5',
      amount: '300',
      lot: 'A7',
      expires_on: '2027-03-01',
    },
  ])
  expect(page.find('form').exists()).toBe(false)
})

it('counts salt in grams and nothing else, whatever was open before', async () => {
  const page = await open()
  await press(page, 'Change Blue bottle')
  await press(page, 'Cancel')
  await press(page, 'Add a product')
  await page.find('form select').setValue('salt')
  await page.findAll('form input')[0]!.setValue('Salt')
  await submit(page)
  const put = asked.filter((one) => one.method === 'PUT').at(-1)!
  expect(put.path).toMatch(/^\/api\/goods\/[0-9A-Z]{26}$/)
  expect(put.body).toMatchObject({ name: 'Salt', kind: 'salt', unit: 'g', label_ml: '', lot: '', amount: '' })
})

it('keeps the form with what was typed where it is refused', async () => {
  refuses('PUT /api/goods/G', { label_treats_l: 'For how much water?' })
  const page = await open()
  await press(page, 'Change Blue bottle')
  await submit(page)
  expect(page.find('form [role=alert]').text()).toBe('For how much water?')
  expect(page.findAll<HTMLInputElement>('form input').map((one) => one.element.value)).toContain('200')
})

it('says of what an emergency would need whether it is there', async () => {
  const want = (name: string, stands: string, have: string | null = null) => ({
    name,
    wanted: '500 g',
    stands,
    have,
    why: `why ${name}`,
  })
  const page = await open({
    wanted: [want('Salt', 'short', '100 g'), want('Binder', 'there'), want('Thiosulfate', 'missing')],
  })
  expect(page.findAll('.want').map((one) => one.find('.small').text())).toEqual([
    'too little: 100 g',
    'there',
    'missing',
  ])
  expect(page.findAll('.want .fault')).toHaveLength(2)
})

it('leaves nothing to press to whoever only reads', async () => {
  expect((await open({}, false)).findAll('button')).toEqual([])
})
