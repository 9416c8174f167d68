import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { Step } from './useToday'
import StepLine from './StepLine.vue'
import TodayHere from './TodayHere.vue'

const router = createRouter({
  history: createMemoryHistory(),
  routes: ['water', 'dose', 'trouble'].map((name) => ({
    path: `/:system/${name}`,
    name,
    component: { template: '<i />' },
  })),
})
const step = (more: Partial<Step>): Step => ({
  code: 'incident.any',
  key: 'ammonia incident.any',
  every_h: null,
  skipping: '',
  tick: { stands: 'due', id: null, what: null, by: null, at: null, why: null },
  do: 'Give binder after the change.',
  why: null,
  page: null,
  fill: {},
  caution: null,
  measure: null,
  figure: null,
  ...more,
})
const shown = (one: Step, here = false) =>
  mount(StepLine, { props: { step: one, slug: 'vat', here }, global: { plugins: [router] } })

it('makes the number to be read at arm’s length the largest: what is changed, or what is weighed', () => {
  const change = shown(step({ do: 'Change 2,160 L (50 %) each day for 2 days.', page: 'water' }))
  expect(change.find('.amount').text()).toBe('2,160 L (50 %)')
  expect(change.find('.do').text()).toContain('each day for 2 days.')
  const dose = shown(step({ measure: '59 mL (11.75 teaspoons)' }))
  expect(dose.findAll('.amount').map((one) => one.text())).toEqual(['59 mL (11.75 teaspoons)'])
  expect(
    shown(step({ do: 'Change a tenth of the water a day.' }))
      .find('.amount')
      .exists(),
  ).toBe(false)
})

it('leads to the page where it is done with its figures, and fills them in where one is there already', async () => {
  const binder = step({ page: 'dose', fill: { thing: 'binder', tan_mg_l: '0.275' } })
  expect(shown(binder).find('a').attributes('href')).toBe('/vat/dose?thing=binder&tan_mg_l=0.275')
  const here = shown(binder, true)
  expect(here.find('a').exists()).toBe(false)
  await here.find('button').trigger('click')
  expect(here.emitted('fill')).toHaveLength(1)
  expect(
    shown(step({ page: 'dose' }), true)
      .find('button')
      .exists(),
  ).toBe(false)
})

it('says what the steps are for, and what stands in its place where there are none', () => {
  const today = (steps: Step[]) =>
    mount(TodayHere, {
      props: { slug: 'vat', steps, causes: ['Ammonia', 'Nitrite'] },
      slots: { default: 'No change is due.', besides: 'Due this week.' },
      global: { plugins: [router] },
    }).text()
  expect(today([step({})])).toContain('For ammonia, nitrite')
  expect(today([step({})])).not.toContain('No change is due.')
  expect(today([])).toContain('No change is due.')
  expect(today([])).toContain('Due this week.')
})
