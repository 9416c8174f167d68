import { expect, it } from 'vitest'
import { figures } from './number'

it('writes no exponents and no thirty digits', () => {
  expect([9.3e-9, 0.000029, 1234567, 0.04567, -0.000001].map((value) => figures(value))).toEqual([
    '0',
    '0.000029',
    '1,230,000',
    '0.0457',
    '0',
  ])
  expect(figures(3.14159, 2)).toBe('3.1')
})
