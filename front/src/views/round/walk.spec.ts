import { expect, it } from 'vitest'
import { moved } from './walk'

it('moves one and keeps the order of the others, both ways and to the ends', () => {
  const list = ['a', 'b', 'c', 'd']
  expect(moved(list, 0, 2)).toEqual(['b', 'c', 'a', 'd'])
  expect(moved(list, 3, 1)).toEqual(['a', 'd', 'b', 'c'])
  expect(moved(list, 1, 3)).toEqual(['a', 'c', 'd', 'b'])
  expect(moved(list, 2, 2)).toEqual(list)
  expect(moved(list, 9, 0)).toEqual(list)
  expect(list).toEqual(['a', 'b', 'c', 'd'])
})
