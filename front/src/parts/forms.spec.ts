import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { queryClient } from '@/api/queries'
import { answers, dies, refuses, sent } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import HowItWorks from './HowItWorks.vue'
import { fitted } from './photo'
import PhotoField from './PhotoField.vue'
import PlaceForm from './PlaceForm.vue'
import UnitsForm from './UnitsForm.vue'

beforeEach(() => {
  queryClient.clear()
  signedIn()
})

describe('the place', () => {
  const PLACE = {
    altitude_m: 340,
    latitude_deg: 52.1,
    price_per_kwh: 0.31,
    price_per_m3: null,
    emergency_call: 'Dr. Reed',
  }
  const boxes = (page: Awaited<ReturnType<typeof shown>>) =>
    page.findAll('input').map((one) => (one.element as HTMLInputElement).value)
  const save = async (page: Awaited<ReturnType<typeof shown>>) => {
    await page.find('form').trigger('submit')
    await settled()
  }

  it('is filled in with what is known, and sent whole', async () => {
    answers('GET /api/site', PLACE)
    answers('PUT /api/site', PLACE)
    const page = await shown(PlaceForm)
    expect(boxes(page)).toEqual(['340', '52.1', '0.31', '', 'Dr. Reed'])
    await page.findAll('input')[3]!.setValue('2,4')
    await save(page)
    expect(sent('PUT /api/site')).toEqual([
      {
        altitude_m: '340',
        latitude_deg: '52.1',
        price_per_kwh: '0.31',
        price_per_m3: '2,4',
        emergency_call: 'Dr. Reed',
      },
    ])
    expect(page.find('[role=status]').text()).toBe('Kept.')
  })

  it('writes over nothing that was typed while the answer was late', async () => {
    let say!: (place: typeof PLACE) => void
    answers('GET /api/site', () => new Promise((done) => (say = done)))
    const page = await shown(PlaceForm)
    await page.findAll('input')[0]!.setValue('12')
    say(PLACE)
    await settled()
    expect(boxes(page).slice(0, 2)).toEqual(['12', '52.1'])
  })

  it.each([
    ['refused', () => refuses('PUT /api/site', { altitude_m: 'Not that high.' }), 'Not that high.'],
    ['lost', () => dies('PUT /api/site'), 'No answer.'],
  ])('that is %s keeps what was typed and says so', async (_, happens, says) => {
    answers('GET /api/site', PLACE)
    happens()
    const page = await shown(PlaceForm)
    await page.findAll('input')[0]!.setValue('99999')
    await save(page)
    expect(boxes(page)[0]).toBe('99999')
    expect(page.find('[role=alert]').text()).toContain(says)
    expect(page.find('[role=status]').exists()).toBe(false)
  })
})

describe('the units', () => {
  it('are kept, and every answer is asked for anew in them', async () => {
    queryClient.setQueryData(['session'], {
      person: {
        units: {
          shown: {},
          chosen: { volume: 'L' },
          choices: [
            {
              what: 'volume',
              name: 'Volume',
              of: [
                { id: 'L', name: 'litres' },
                { id: 'gal', name: 'US gallons' },
              ],
            },
          ],
        },
      },
    })
    queryClient.setQueryData(['systems'], [])
    answers('PUT /api/session/units', {
      shown: { L: { symbol: 'US gal', factor: 0.26, offset: 0 } },
      chosen: {},
      choices: [],
    })
    const page = await shown(UnitsForm, { props: { press: 'Keep' } })
    await page.find('select').setValue('gal')
    await page.find('form').trigger('submit')
    await settled()
    expect(sent('PUT /api/session/units')).toEqual([{ volume: 'gal' }])
    expect(page.emitted('chosen')).toHaveLength(1)
    expect(queryClient.getQueryState(['systems'])?.isInvalidated).toBe(true)
    expect(queryClient.getQueryState(['session'])?.isInvalidated).toBe(false)
  })
})

describe('a picture', () => {
  afterEach(() => vi.unstubAllGlobals())

  it.each([
    [
      [800, 600],
      [800, 600],
    ],
    [
      [3200, 2400],
      [1600, 1200],
    ],
    [
      [2400, 3200],
      [1200, 1600],
    ],
    [
      [100_000, 10],
      [1600, 1],
    ],
  ])('of %o is sent as %o: no side too long, none lost', ([width, height], size) => {
    expect(fitted(width!, height!)).toEqual(size)
  })

  it('that this browser cannot read goes as it is, and one taken back is gone', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('unknown kind')))
    const page = await shown(PhotoField, { props: { modelValue: 'the last one' } })
    const input = page.find('input')
    Object.defineProperty(input.element, 'files', {
      value: [new File(['koi'], 'koi.png', { type: 'image/png' })],
      configurable: true,
    })
    await input.trigger('change')
    await vi.waitFor(() => expect(page.emitted('update:modelValue')).toHaveLength(2))
    expect(page.emitted('update:modelValue')!.map(([text]) => text)).toEqual([
      '',
      `data:image/png;base64,${btoa('koi')}`,
    ])
    Object.defineProperty(input.element, 'files', { value: [] })
    await input.trigger('change')
    expect(page.emitted('update:modelValue')!.at(-1)).toEqual([''])
  })
})

describe('how a page works', () => {
  it('names the schools it follows here, asked for only once it is opened', async () => {
    answers('GET /api/systems/vat/limits', {
      topics: [
        {
          id: 'dechlorination',
          name: 'Chlorine',
          follows: 'b',
          schools: [{ id: 'b', name: 'binder first' }],
        },
      ],
    })
    const page = await shown(HowItWorks, { props: { page: 'water', slug: 'vat' } })
    expect(page.text()).not.toContain('Schools followed')
    Object.assign(page.find('details').element, { open: true })
    await page.find('details').trigger('toggle')
    await settled()
    expect(page.text()).toContain('Schools followed here: Chlorine: binder first.')
    expect(page.find('a').attributes('href')).toBe('/vat/limits')
  })

  it('is not there for a page that explains nothing', async () => {
    expect(
      (await shown(HowItWorks, { props: { page: 'nowhere', slug: 'vat' } })).find('details').exists(),
    ).toBe(false)
  })
})
