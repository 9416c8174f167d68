import { expect, it } from 'vitest'
import { router } from './router'
import { HOW } from './words/how'
import { GROUPS, UNDER, groupOf, labelOf, samePage } from './ways/pages'

const pages = GROUPS.flatMap((group) => group.pages)
const names = [...pages.map((page) => page.name), ...Object.keys(UNDER)].sort()

it('leads to every page of a system, and each has a letter of its own', () => {
  const there = router
    .getRoutes()
    .filter((route) => route.path.startsWith('/:system') && typeof route.name === 'string')
    .map((route) => String(route.name))
  expect(names).toEqual([...new Set(there)].sort())
  expect(new Set(pages.map((page) => page.key)).size).toBe(pages.length)
  // `g r` is the round, `g x` the shelf, `g z` the sheets.
  for (const taken of ['r', 'x', 'z', 'e', '1', '9'])
    expect(pages.map((page) => page.key)).not.toContain(taken)
})

it('says of every page how it works', () => {
  expect(Object.keys(HOW).sort()).toEqual(names)
  expect(Object.values(HOW).every((how) => how.says.length > 80 && how.says.endsWith('.'))).toBe(true)
})

it('stands in groups of at most four, so that a page is two presses away', () => {
  expect(GROUPS.every((group) => group.pages.length <= 4)).toBe(true)
  expect(groupOf('course')?.label).toBe('Fish')
  expect(groupOf('service-run')?.label).toBe('Filter')
  expect(labelOf('buffer')).toBe('KH, GH, pH')
})

it('keeps the page when another system is opened', () => {
  expect(samePage('trickle', 'nursery')).toEqual({ name: 'trickle', params: { system: 'nursery' } })
  expect(samePage('service-run', 'nursery')).toEqual({ name: 'service', params: { system: 'nursery' } })
  expect(samePage('round', 'nursery')).toEqual({ name: 'system', params: { system: 'nursery' } })
})
