import { describe, expect, test } from 'vitest'
import type { System } from '@/api/types'
import { planOf } from './vesselPlan'

type Build = System['build']

const vessel = (shape: string, measures: Record<string, number>) =>
  ({ id: 'V', name: 'Bay', shape, measures, holds_fish: true }) as unknown as Build['vessels'][number]
const line = (id: string, ends: Partial<Build['lines'][number]>) => ({
  id,
  name: id,
  from: 'pump:P',
  to: 'stage:S',
  spot: null,
  aim: null,
  ...ends,
})
const build = (parts: { lines?: unknown[]; pumps?: unknown[] }) =>
  ({ lines: [], pumps: [], ...parts }) as unknown as Build
const box = vessel('box', { length_m: 4, width_m: 2 })

describe('a vessel from above', () => {
  test('keeps the proportions of its measures, whatever its outline', () => {
    for (const [shape, measures] of [
      ['box', { length_m: 4, width_m: 2 }],
      ['ellipse', { length_m: 4, width_m: 2 }],
      ['wedge', { length_m: 4, width_a_m: 1.2, width_b_m: 2 }],
    ] as const) {
      const plan = planOf(vessel(shape, measures), build({}), null)
      expect(plan.width / plan.height).toBeCloseTo(2)
    }
    const round = planOf(vessel('cylinder', { diameter_m: 1.8 }), build({}), null)
    expect(round.width).toBeCloseTo(round.height)
  })

  test('shows what leaves, what comes in and what blows, each at its end, and nothing that is not told', () => {
    const plan = planOf(
      box,
      build({
        lines: [
          line('drain', { from: 'vessel:V', spot: 'far_end' }),
          line('return', { to: 'vessel:V', spot: 'one_end', aim: 'along' }),
          line('untold', { to: 'vessel:V' }),
          line('elsewhere', { to: 'vessel:W', spot: 'one_end' }),
        ],
        pumps: [
          {
            id: 'blower',
            name: 'Blower',
            kind: 'circulator',
            vessel_id: 'V',
            spot: 'far_end',
            aim: 'across',
            guarded: false,
          },
          {
            id: 'pump',
            name: 'Pump',
            kind: 'water',
            vessel_id: 'V',
            spot: 'far_end',
            aim: null,
            guarded: null,
          },
        ],
      }),
      null,
    )
    const at = Object.fromEntries(plan.marks.map((mark) => [mark.key, mark]))
    expect(Object.keys(at)).toEqual(['drain', 'return', 'blower'])
    expect(at.return?.x).toBeLessThan(plan.width / 2)
    expect(at.drain?.x).toBeGreaterThan(plan.width / 2)
    expect(at.drain?.y).not.toBeCloseTo(at.blower?.y ?? 0)
    expect(at.return?.d).toContain('h26')
    expect(at.blower?.d).toContain('v26')
    expect(at.blower?.bare).toBe(true)
    expect(plan.says).toContain('without a guard')
  })

  test('marks the end that the water does not reach', () => {
    const still = (end: 'one_end' | 'far_end') => planOf(box, build({}), end).still
    expect(still('one_end')?.x).toBe(0)
    expect(still('far_end')?.x).toBeGreaterThan(100)
    expect(planOf(box, build({}), null).still).toBeNull()
  })
})
