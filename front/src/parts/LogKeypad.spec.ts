import { beforeEach, expect, it } from 'vitest'
import { answers } from '@testing/server'
import { known, shown } from '@testing/shown'
import LogKeypad from './LogKeypad.vue'

beforeEach(() => {
  known('vocabulary', {
    parameters: [
      { id: 'tan_mg_l', code: 'am', name: 'Ammonia', units: [{ id: 'mg_l_n' }, { id: 'mg_l_nh4' }] },
      { id: 'ph', code: 'ph', name: 'pH', units: [] },
      { id: 'clarity_cm', code: null, name: 'Clarity', units: [] },
    ],
  })
  answers('GET /api/shelf', {
    kits: [
      { id: 'A', in_use: false, parameter: 'tan_mg_l', unit: 'mg_l_n', steps: [9] },
      { id: 'B', in_use: true, parameter: 'tan_mg_l', unit: 'mg_l_nh4', steps: [8] },
      { id: 'C', in_use: true, parameter: 'tan_mg_l', unit: 'mg_l_n', steps: [0, 0.25, 0.5] },
    ],
  })
})

async function keypad(line: string) {
  const page = await shown(LogKeypad, {
    props: { modelValue: line, 'onUpdate:modelValue': (text: string) => page.setProps({ modelValue: text }) },
  })
  const press = (name: string) =>
    page
      .findAll('button')
      .find((one) => (one.attributes('aria-label') ?? one.text()) === name)!
      .trigger('click')
  return { page, press, line: () => page.props('modelValue' as never) as unknown as string }
}

it('writes codes as words of their own, and figures into the number that is begun', async () => {
  const { press, line } = await keypad('')
  for (const key of ['Ammonia', '.', '5', 'pH', '7', '.', '8', 'next', 'Over range']) await press(key)
  expect(line()).toBe('am .5 ph 7.8 >')
})

it('has the steps of the kit in use, in the unit that a bare number has, for the code that waits for one', async () => {
  const { page, press, line } = await keypad('am')
  const steps = page.find('[aria-label="Steps of Ammonia"]')
  expect(steps.findAll('button').map((one) => one.text())).toEqual(['0', '0.25', '0.5'])
  expect(page.find('.asked').text()).toBe('am')
  await press('0.25')
  expect(line()).toBe('am 0.25 ')
  expect(page.find('.steps').exists()).toBe(false)
})

it('has no key for what has no code, and rubs a code out whole and a number figure by figure', async () => {
  const { page, press, line } = await keypad('ph 7.8')
  expect(page.find('[aria-label="Clarity"]').exists()).toBe(false)
  await press('Rub out')
  expect(line()).toBe('ph 7.')
  for (const left of ['ph 7', 'ph ', '']) {
    await press('Rub out')
    expect(line()).toBe(left)
  }
})
