import { beforeEach, describe, expect, it } from 'vitest'
import type { Component } from 'vue'
import { queryClient } from '@/api/queries'
import { answers, asked, dies, refuses } from './server'
import { known, settled, shown, signedIn, system } from './shown'

/**
 * What every form of a book keeps to, one after the other: what the server refuses stands at its field and nothing that
 * was typed is lost; the same is sent again under the same key; what was booked is not there for the next.
 */
interface Form {
  name: string
  load: () => Promise<{ default: Component }>
  props: Record<string, unknown>
  /** Pressed first, where the form is folded away. */
  open?: string
  /** Where it is sent; `*` is its key. */
  to: string
  /** Fields that are refused, each with a place of its own. */
  fields: string[]
  /** What is left in the form after it was booked: empty unless a field is worth keeping; null where it closes. */
  left?: string[] | null
}

const vat = { slug: 'vat', name: 'Vat' }
const group = { id: 'G', name: 'Koi', count: 12 }
const FORMS: Form[] = [
  {
    name: 'a shipment',
    load: () => import('@/views/fish/ShipmentForm.vue'),
    props: { system: vat },
    to: 'PUT /api/systems/vat/shipments/*',
    fields: ['from_whom', 'hours', 'boxes'],
    left: null,
  },
  {
    name: 'a bag',
    load: () => import('@/views/fish/BagForm.vue'),
    props: { system: vat, shipment: 'S' },
    to: 'PUT /api/systems/vat/shipments/S/bags/*',
    fields: [
      'name',
      'count',
      'length_cm',
      'litres',
      'temp_c',
      'ph',
      'tan_mg_l',
      'kh',
      'salinity_g_l',
      'no3_mg_l',
    ],
    left: null,
  },
  {
    name: 'a feed',
    load: () => import('@/views/fish/FeedLog.vue'),
    props: { system: vat, fish: { feeds: [], week_g: 0 }, writes: true },
    to: 'PUT /api/systems/vat/feeds/*',
    fields: ['feed_g'],
  },
  {
    name: 'a measurement of fish',
    load: () => import('@/views/fish/FishAction.vue'),
    props: { system: vat, group },
    to: 'PUT /api/systems/vat/fish/G/measures/*',
    fields: ['length_cm', 'weight_g', 'measured_on'],
    left: null,
  },
  {
    name: 'a move of all fish',
    load: () => import('@/views/fish/MoveAll.vue'),
    props: { system: vat },
    open: 'Move all of them',
    to: 'PUT /api/systems/vat/moves/*',
    fields: ['to', 'reason', 'happened_on'],
    left: null,
  },
  {
    name: 'a setback of the filter',
    load: () => import('@/views/capacity/SetbackList.vue'),
    props: {
      system: vat,
      filter: { deeds: [{ id: 'swished', name: 'swished', by_hours: true }], setbacks: [] },
      writes: true,
    },
    to: 'PUT /api/systems/vat/filter/setbacks/*',
    fields: ['hours', 'share_pct', 'happened_on'],
    left: ['happened_on'],
  },
  {
    name: 'a charge',
    load: () => import('@/views/dose/ChargeList.vue'),
    props: { system: vat, page: { charges: [] }, writes: true },
    to: 'PUT /api/systems/vat/charges/*',
    fields: ['mass_g', 'capacity_mg_n_per_g'],
  },
  {
    name: 'a seed',
    load: () => import('@/views/maturing/SeedList.vue'),
    props: {
      system: vat,
      start: {
        seed_kinds: [{ id: 'own_media', name: 'own media', media: true }],
        donors: [],
        seeds: [],
        given: [],
      },
      words: undefined,
      writes: true,
    },
    to: 'PUT /api/systems/vat/seeds/*',
    fields: ['litres', 'donor', 'happened_on'],
  },
  {
    name: 'a note',
    load: () => import('@/views/book/NoteForm.vue'),
    props: { system: vat },
    to: 'PUT /api/systems/vat/notes/*',
    fields: ['words'],
  },
  {
    name: 'a reading of the meter',
    load: () => import('@/views/water/MeterReadings.vue'),
    props: { system: vat, meter: { readings: [], says: null }, writes: true },
    to: 'PUT /api/systems/vat/meter/*',
    fields: ['meter_l'],
  },
]

type Page = Awaited<ReturnType<typeof shown>>
const boxes = (page: Page) =>
  page.findAll<HTMLInputElement>('form input').filter((one) => /^(text|date)$/.test(one.element.type))
const values = (page: Page) => boxes(page).map((one) => one.element.value)
const submit = async (page: Page) => {
  await page.find('form').trigger('submit')
  await settled()
}
/** The path that was asked for last, which stands for its key as well. */
const path = () => asked.filter((one) => one.method !== 'GET').at(-1)!.path

beforeEach(() => {
  queryClient.clear()
  signedIn()
  known('systems', [system('vat'), system('nursery')])
  known('vocabulary', { seen: [], parameters: [], media: [] })
  answers('GET /api/systems', [])
})

describe.each(FORMS)('$name', ({ load, props, open, to, fields, left }) => {
  const filled = async () => {
    const page = await shown((await load()).default, { props: structuredClone(props) })
    if (open)
      await page
        .findAll('button')
        .find((one) => one.text() === open)!
        .trigger('click')
    await settled()
    for (const [i, one] of boxes(page).entries())
      await one.setValue(one.element.type === 'date' ? `2026-06-0${(i % 9) + 1}` : `${i + 1}1`)
    return page
  }
  /** What the server says to it, which knows the key only once it was asked for: the first try finds nobody. */
  const sendTo = async (page: Page, say: (what: string) => void) => {
    await submit(page)
    say(`${to.split(' ')[0]} ${path()}`)
    await submit(page)
  }

  it('keeps what was typed where it is refused, and says why at each field', async () => {
    const page = await filled()
    const typed = values(page)
    await sendTo(page, (what) => refuses(what, Object.fromEntries(fields.map((key) => [key, `No ${key}.`]))))
    expect(values(page)).toEqual(typed)
    for (const key of fields) {
      const said = page.findAll('[role=alert]').filter((one) => one.text() === `No ${key}.`)
      expect(said, key).toHaveLength(1)
      expect(said[0]!.element.closest('.field'), `${key} has its message beside it`).not.toBeNull()
    }
  })

  it('keeps what was typed where no answer comes, and sends the same under the same key', async () => {
    const page = await filled()
    const typed = values(page)
    await sendTo(page, dies)
    expect(page.text()).toContain('No answer.')
    expect(values(page)).toEqual(typed)
    const sent = asked.filter((one) => one.method !== 'GET')
    expect(new Set(sent.map((one) => one.path)).size).toBe(1)
    expect(sent.at(-1)!.path).toMatch(new RegExp(`^${to.split(' ')[1]!.replace('*', '[0-9A-Z]{26}')}$`))
    expect(sent.at(-1)!.body).toEqual(sent[0]!.body)
  })

  it('leaves nothing of what was booked for the next', async () => {
    const page = await filled()
    await sendTo(page, (what) => answers(what, {}))
    if (left === null) {
      expect(page.emitted('done') ?? !page.find('form').exists()).toBeTruthy()
      return
    }
    expect(page.findAll('[role=alert]')).toEqual([])
    const still = boxes(page).filter((one) => one.element.value !== '')
    expect(still).toHaveLength(left?.length ?? 0)
  })
})

it('lets how fish fed this time say nothing of the next feed', async () => {
  const { default: feeds } = await import('@/views/fish/FeedLog.vue')
  const page = await shown(feeds, { props: { system: vat, fish: { feeds: [], week_g: 0 }, writes: true } })
  const [came, left] = page.findAll('select')
  await page.find('input').setValue('120')
  await came!.setValue('no')
  await left!.setValue('yes')
  await submit(page)
  answers(`PUT ${path()}`, {})
  await submit(page)
  expect(asked.filter((one) => one.method === 'PUT').at(-1)!.body).toEqual({
    feed_g: '120',
    came_up: 'no',
    left_some: 'yes',
  })
  expect([came!.element.value, left!.element.value]).toEqual(['', 'no'])
})
