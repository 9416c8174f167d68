import { describe, expect, it } from 'vitest'
import type { Score } from '@/api/types'
import { LEFT, layOutScore, nearest, STRIP } from './scoreLayout'

const DAY = 86_400
const JUNE = Date.UTC(2026, 5, 1) / 1000
const point = (day: number, v: number, sure = 0) => ({
  t: JUNE + day * DAY,
  v,
  low: v - sure,
  high: v + sure,
})
const strip = (points: ReturnType<typeof point>[], more: object = {}) => ({
  parameter: 'tan_mg_l',
  name: 'Ammonia',
  unit: 'mg/L',
  above: null,
  below: null,
  expected: [],
  points,
  ...more,
})
const drawn = (strips: object[], days = 10, zone = 'UTC', marks: object[] = []) =>
  layOutScore({ from: JUNE, to: JUNE + days * DAY, strips, marks } as unknown as Score, 1000, zone)
const heights = (d: string) => [...d.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map((found) => Number(found[2]))

describe('a course on its strip', () => {
  it('lies at its time, and rises with its value', () => {
    const { lanes } = drawn([strip([point(0, 1), point(5, 2), point(10, 3)])])
    expect(lanes[0]!.d).toMatch(/^M4\.0 [\d.]+L500\.0 [\d.]+L996\.0 [\d.]+$/)
    const [first, second, third] = heights(lanes[0]!.d)
    expect(first! - second!).toBeCloseTo(second! - third!, 0)
    expect(first!).toBeGreaterThan(third!)
  })

  it('holds its limits where they are near, and is not flattened by one that is far off', () => {
    const near = drawn([strip([point(0, 0.2), point(5, 0.3)], { above: 0.35 })]).lanes[0]!
    expect(near.limits).toHaveLength(1)
    expect(near.limits[0]!).toBeLessThan(Math.min(...heights(near.d)))
    const far = drawn([strip([point(0, 0.2), point(5, 0.3)], { above: 9 })]).lanes[0]!
    expect(far.limits).toEqual([])
    expect(heights(far.d)[0]! - heights(far.d)[1]!).toBeGreaterThan(20)
  })

  it('stays inside its strip, however unsure a reading is', () => {
    const { lanes } = drawn([strip([point(1, 5)]), strip([point(1, 1, 50), point(2, 2)])])
    for (const bar of lanes[1]!.bars) {
      expect(Math.min(bar.y1, bar.y2)).toBeGreaterThanOrEqual(STRIP)
      expect(Math.max(bar.y1, bar.y2)).toBeLessThanOrEqual(2 * STRIP)
      expect(bar.y2).toBeLessThanOrEqual(bar.y1)
    }
  })

  it.each([[[point(3, 0)]], [[point(3, 7), point(4, 7)]]])(
    'that never moves is drawn all the same',
    (points) => {
      for (const y of heights(drawn([strip(points)]).lanes[0]!.d)) expect(Number.isFinite(y)).toBe(true)
    },
  )
})

describe('the axis', () => {
  it('is read back to the second that lies under a place', () => {
    const { at, x } = drawn([])
    expect(at(x(JUNE + 3.5 * DAY))).toBeCloseTo(JUNE + 3.5 * DAY, 3)
    expect(at(LEFT)).toBe(JUNE)
  })

  it.each([
    [0.5, /^\d\d:\d\d$/],
    [8, /^\d{1,2} \w+$/],
    [300, /^\d{1,2} \w+$/],
    [3000, /^\d{4}$/],
  ])('over %d days has nine marks at most, each as long a time as it says', (days, label) => {
    const { ticks } = drawn([], days)
    expect(ticks.length).toBeGreaterThan(0)
    expect(ticks.length).toBeLessThanOrEqual(10)
    for (const tick of ticks) expect(tick.label).toMatch(label)
  })

  it('tells hours in the time of the yard', () => {
    expect(drawn([], 0.25, 'Asia/Tokyo').ticks[0]!.label).toBe('09:00')
  })
})

it('finds the reading nearest to a time, and none where there is none', () => {
  const points = [point(1, 1), point(4, 2), point(9, 3)] as never[]
  expect(nearest(points, JUNE + 6 * DAY)).toBe(points[1])
  expect(nearest(points, JUNE + 7 * DAY)).toBe(points[2])
  expect(nearest([], JUNE)).toBeUndefined()
})
