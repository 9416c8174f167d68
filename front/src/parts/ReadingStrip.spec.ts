import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import type { Strip } from '@/api/types'
import ReadingStrip from './ReadingStrip.vue'

const strip = (more: Partial<Strip> = {}): Strip =>
  ({
    parameter: 'ph',
    name: 'pH',
    text: '7.8',
    unit: null,
    low: 7.8,
    high: 7.8,
    state: 'good',
    sentence: 'pH 7.8',
    age: '2 h',
    by: 'Maren',
    figure: null,
    scale: { from: 6, to: 10 },
    bands: [
      { from: 6, to: 6.5, state: 'emergency' },
      { from: 6.5, to: 7, state: 'watch' },
      { from: 7, to: 8.5, state: 'good' },
      { from: 8.5, to: 9, state: 'act' },
      { from: 9, to: 10, state: 'emergency' },
    ],
    ...more,
  }) as Strip
const shown = (more: Partial<Strip> = {}) => mount(ReadingStrip, { props: { strip: strip(more) } })
const left = (page: ReturnType<typeof shown>, of: string) =>
  page.findAll<HTMLElement>(of).map((one) => Number.parseFloat(one.element.style.left))

it('stands where its value does, and says both ends of good water', () => {
  const page = shown()
  expect(left(page, '.lozenge')[0]).toBeCloseTo(45, 6)
  expect(page.findAll('.edge').map((one) => one.text())).toEqual(['7', '8.5'])
  expect(left(page, '.edge')).toEqual([25, 62.5])
})

it('is as wide as the kit is unsure, and never beyond its scale', () => {
  expect(left(shown({ low: 7, high: 8 }), '.lozenge')[0]).toBeCloseTo(37.5, 6)
  expect(left(shown({ low: 14, high: 14 }), '.lozenge')[0]).toBe(100)
  expect(left(shown({ low: 2, high: 2 }), '.lozenge')[0]).toBe(0)
})

it('draws a wedge that grows away from good water, on either side of it', () => {
  const tip = (bands: Strip['bands']) =>
    /M([\d.]+) \d+L([\d.]+)/.exec(shown({ bands }).find('.act').attributes('d')!)!
  const high = tip(strip().bands)
  expect(Number(high[2])).toBeGreaterThan(Number(high[1]))
  const low = tip([
    { from: 6, to: 7, state: 'act' },
    { from: 7, to: 10, state: 'good' },
  ] as Strip['bands'])
  expect(Number(low[2])).toBeLessThan(Number(low[1]))
})

it('is read aloud with its state and how sure it is', () => {
  expect(shown({ low: 7.6, high: 8 }).find('[role=img]').attributes('aria-label')).toBe(
    'pH 7.8, good; between 7.6 and 8',
  )
  expect(shown().text()).toContain('2 h, Maren')
})
