import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import GrowthCurve from './GrowthCurve.vue'

const curve = (measures: { on: string; reckoned_g: number; weight_g: number | null }[]) =>
  mount(GrowthCurve, { props: { measures } })
const at = (page: ReturnType<typeof curve>) =>
  page.findAll('circle').map((one) => [Number(one.attributes('cx')), Number(one.attributes('cy'))] as const)

it('rises with weight, to the scale of its days, and tells what was weighed from what was reckoned', () => {
  const page = curve([
    { on: '2026-01-01', reckoned_g: 500, weight_g: 500 },
    { on: '2026-01-11', reckoned_g: 600, weight_g: null },
    { on: '2026-02-10', reckoned_g: 1000, weight_g: 1000 },
  ])
  const [first, second, last] = at(page)
  // Ten days of forty: a quarter of the way.
  expect((second![0] - first![0]) / (last![0] - first![0])).toBeCloseTo(0.25, 6)
  expect(first![1]).toBeGreaterThan(second![1])
  expect(second![1]).toBeGreaterThan(last![1])
  // Twice as heavy stands twice as high over the line.
  const base = Number(page.find('line').attributes('y1'))
  expect((base - last![1]) / (base - first![1])).toBeCloseTo(2, 6)
  expect(page.findAll('circle').map((one) => one.classes('weighed'))).toEqual([true, false, true])
  expect(page.find('svg').attributes('aria-label')).toMatch(/500 g .*1 Jan 2026.* 1,000 g .*10 Feb 2026/)
})

it('holds two measurements of one day without leaving the field', () => {
  for (const [x, y] of at(
    curve([
      { on: '2026-01-01', reckoned_g: 500, weight_g: 500 },
      { on: '2026-01-01', reckoned_g: 510, weight_g: 510 },
    ]),
  )) {
    expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
  }
})
