import { describe, expect, it } from 'vitest'
import { DRAWINGS, FIELD, place, PLACES } from './outline'

/** Every number of a path that is absolute: our drawings use M, C and L, and small arcs for eyes. */
const numbers = (path: string) => (path.replace(/a[^a-zA-Z]+/g, '').match(/-?\d+(\.\d+)?/g) ?? []).map(Number)

describe('a place on the outline', () => {
  const box = { left: 100, top: 50, width: 200, height: 80 }

  it('is where it was pressed, as shares of the drawing', () => {
    expect(place(box, { x: 150, y: 90 })).toEqual({ x: 0.25, y: 0.5 })
  })

  it('is held inside', () => {
    expect(place(box, { x: 20, y: 500 })).toEqual({ x: 0, y: 1 })
  })

  it('can be chosen from a list without a finger', () => {
    for (const one of PLACES) {
      expect(one.x).toBeGreaterThan(0)
      expect(one.x).toBeLessThan(1)
      expect(one.y).toBeGreaterThan(0)
      expect(one.y).toBeLessThan(1)
    }
    expect(new Set(PLACES.map((one) => one.name)).size).toBe(PLACES.length)
  })
})

describe('the outline', () => {
  it('stays within its field and is the same on both sides from above', () => {
    for (const { body, lines } of Object.values(DRAWINGS)) {
      const all = [body, ...lines].flatMap(numbers)
      expect(Math.max(...all.filter((_, i) => i % 2 === 0))).toBeLessThanOrEqual(FIELD.width)
      expect(Math.min(...all)).toBeGreaterThanOrEqual(0)
    }
    const heights = numbers(DRAWINGS.above.body).filter((_, i) => i % 2 === 1)
    expect(Math.min(...heights) + Math.max(...heights)).toBe(FIELD.height)
  })
})
