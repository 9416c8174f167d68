import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Bench } from '@/api/types'
import { answers, asked } from '@testing/server'
import { settled, shown, signedIn } from '@testing/shown'
import BenchAnswer from './BenchAnswer.vue'
import BenchFields from './BenchFields.vue'
import BenchForm from './BenchForm.vue'

const field = (key: string, more: object = {}) => ({
  key,
  label: key,
  unit: null,
  value: null,
  filled: false,
  from: '',
  choices: [],
  ...more,
})
const bench = (more: object = {}): Bench =>
  ({
    title: 'Raise KH',
    fields: [],
    errors: {},
    refused: false,
    measure: null,
    figures: [],
    steps: [],
    cautions: [],
    ...more,
  }) as unknown as Bench

beforeEach(() => signedIn())
afterEach(() => vi.useRealTimers())

it('asks for what is not known, and folds away what the book filled in, with where that is from', async () => {
  const page = await shown(BenchFields, {
    props: {
      modelValue: {},
      bench: bench({
        fields: [
          field('target', { unit: 'dKH' }),
          field('volume', { unit: 'L', value: '12000', filled: true, from: 'by meter' }),
          field('agent', { value: 'soda', filled: true, choices: [{ value: 'soda', label: 'baking soda' }] }),
        ],
      }),
    },
  })
  const known = page.find('details')
  expect(known.attributes('open')).toBeUndefined()
  expect(known.find('summary').text()).toBe('With volume 12000 L, agent baking soda')
  expect(known.text()).toContain('by meter')
  const [target, volume] = page.findAll('input')
  await target!.setValue('6')
  expect(page.emitted('update:modelValue')!.at(-1)).toEqual([{ target: '6' }])
  expect(volume!.attributes('placeholder')).toBe('12000')
})

it('unfolds what is at fault, and says at the end what has no field', async () => {
  const page = await shown(BenchFields, {
    props: {
      modelValue: {},
      bench: bench({
        fields: [field('volume', { value: '0', filled: true })],
        errors: { volume: 'No water.', elsewhere: 'Not today.' },
      }),
    },
  })
  const known = page.find('details')
  expect(known.attributes('open')).toBeDefined()
  expect(known.findAll('[role=alert]').map((one) => one.text())).toEqual(['No water.'])
  expect(page.findAll('[role=alert]').map((one) => one.text())).toContain('Not today.')
})

it('gives no amount where it is refused, and says the danger once', async () => {
  const cautions = [
    { level: 'watch', text: 'Slowly.' },
    { level: 'danger', text: 'It burns gills.' },
  ]
  const page = await shown(BenchAnswer, {
    props: { bench: bench({ refused: true, cautions }), measure: '60 g' },
  })
  expect(page.text()).not.toContain('60 g')
  expect(page.find('[role=alert]').text()).toBe('Not now. It burns gills.')
  expect(page.findAll('.caution').map((one) => one.text())).toEqual(['Slowly.'])
  const given = await shown(BenchAnswer, { props: { bench: bench({ cautions }), measure: '60 g' } })
  expect(given.find('.measure').text()).toBe('60 g')
  expect(given.findAll('.caution')).toHaveLength(2)
})

it('asks once one has stopped typing, with what was typed and nothing that is blank', async () => {
  answers('GET /api/systems/vat/bench/kh', bench({ fields: [field('target'), field('fish')] }))
  const page = await shown(BenchForm, { props: { system: { slug: 'vat' }, bench: 'kh' } })
  expect(page.find('h2').text()).toBe('Raise KH')
  vi.useFakeTimers()
  const [target, fish] = page.findAll('input')
  await target!.setValue('6')
  await target!.setValue('6.5')
  await fish!.setValue(' ')
  const before = asked.length
  await vi.advanceTimersByTimeAsync(300)
  await settled()
  expect(asked.slice(before).map((one) => one.query)).toEqual([{ 'typed[target]': '6.5' }])
  expect((target!.element as HTMLInputElement).value).toBe('6.5')
})
