import { beforeEach, expect, it } from 'vitest'
import type { Figure } from '@/api/types'
import { closeSlip, openFigure } from '@/state/slip'
import { answers, asked, refuses, sent } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import FigureButton from './FigureButton.vue'
import WorkingSlip from './WorkingSlip.vue'

const figure = (more: Partial<Figure> = {}): Figure =>
  ({
    key: 'load_g_d',
    label: 'Ammonia made a day',
    text: '12',
    unit: 'g N/d',
    value_unit: null,
    say: null,
    calc: 'bioload',
    input: { feed_g_d: 300, protein_pct: 40 },
    parts: [],
    origins: [
      { key: 'feed_g_d', label: 'Feed', text: '300 g', from: 'booked today', kind: 'book' },
      { key: 'protein_pct', label: 'Protein', text: '40 %', from: 'assumed', kind: 'assumed' },
    ],
    ...more,
  }) as Figure
const WORKED = {
  figures: { load_g_d: 15 },
  working: [{ say: 'By protein.', formula: 'f × p', with: '300 × 0.4', gives: '12 g' }],
  cautions: [{ level: 'watch', text: 'Young fish eat more.' }],
  sources: ['known', 'unknown'],
}

beforeEach(() => {
  signedIn()
  closeSlip()
  answers('POST /api/calc/bioload', WORKED)
  answers('GET /api/sources', [{ id: 'known', citation: 'A handbook', kind: 'book' }])
  answers('GET /api/calc', [{ name: 'bioload', inputs: [{ key: 'protein_pct', unit: '%' }] }])
})

it('opens from a number, which says that it can be opened', async () => {
  const one = figure()
  const page = await shown(FigureButton, { props: { figure: one } })
  expect(page.attributes('aria-label')).toBe('Ammonia made a day: 12 g N/d. Show the working')
  await page.trigger('click')
  expect(openFigure.value).toBe(one)
})

it('shows inputs with where they are from, each step, cautions, and the sources that are known', async () => {
  const page = await shown(WorkingSlip, { props: { figure: figure() } })
  expect(page.findAll('.origins dd').map((one) => one.text())).toEqual([
    expect.stringContaining('300 g booked today'),
    expect.stringContaining('40 % assumed'),
  ])
  expect(page.find('.steps').text()).toContain('= 12 g')
  expect(page.find('.cautions .watch').text()).toBe('Young fish eat more.')
  expect(page.findAll('.sources li').map((one) => one.text())).toEqual(['A handbook (book)'])
})

it('lets only what is assumed be tried otherwise, and reckons anew with just that replaced', async () => {
  const page = await shown(WorkingSlip, {
    props: { figure: figure({ input: { feed_g_d: 301, protein_pct: 40 } }) },
  })
  expect(page.findAll('.replace')).toHaveLength(1)
  expect(page.find('.replace').text()).toContain('%')
  await page.find('input').setValue('50,5')
  await settled()
  expect(sent('POST /api/calc/bioload').at(-1)).toEqual({ feed_g_d: 301, protein_pct: 50.5 })
  expect(page.find('.changed').text()).toContain('15 g N/d')
  await page.find('input').setValue('much')
  expect(page.text()).toContain('This is not a number.')
  expect(page.find('.changed').exists()).toBe(false)
})

it('says at the slip what the calculator refuses', async () => {
  refuses('POST /api/calc/bioload', { protein_pct: 'Protein must be 10 to 70 %.' })
  const page = await shown(WorkingSlip, { props: { figure: figure({ input: { protein_pct: 400 } }) } })
  expect(page.find('[role=alert]').text()).toContain('Protein must be 10 to 70 %.')
})

it('goes into a part and back, and asks nothing for a number that was only counted', async () => {
  const part = figure({ label: 'Adults', calc: null, origins: [] })
  const whole = figure({ label: 'All fish', calc: null, origins: [], parts: [part] })
  const page = await shown(WorkingSlip, { props: { figure: whole } })
  await page.find('.part').trigger('click')
  expect(openFigure.value?.label).toBe('Adults')
  await page.setProps({ figure: part })
  await page
    .findAll('button')
    .find((one) => one.text() === 'Back to all fish')!
    .trigger('click')
  expect(openFigure.value?.label).toBe('All fish')
  expect(asked.filter((one) => one.method === 'POST')).toEqual([])
})
