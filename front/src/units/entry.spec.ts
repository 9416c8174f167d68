import { beforeEach, expect, it } from 'vitest'
import { queryClient } from '@/api/queries'
import { quantity, symbolOf } from './chosen'
import { sentText, shownText } from './entry'

const read = (shown: object) => queryClient.setQueryData(['session'], { person: { units: { shown } } })

beforeEach(() =>
  read({
    L: { symbol: 'US gal', factor: 1 / 3.785411784, offset: 0 },
    '°C': { symbol: '°F', factor: 1.8, offset: 32 },
  }),
)

it('shows what the book filled in in the unit that was chosen, and sends what was not touched as it came', () => {
  expect([shownText('1200', 'L'), shownText('1,200', 'L'), shownText('18.5', '°C')]).toEqual([
    '317',
    '317',
    '65.3',
  ])
  expect(shownText('0.5', 'mg/L')).toBe('0.5')
})

it('sends a number that was typed with its unit, so that nobody takes it for litres', () => {
  expect(sentText('300', 'L')).toBe('300 US gal')
  expect(shownText('300 US gal', 'L')).toBe('300')
  expect(shownText('12. US gal', 'L')).toBe('12.')
  expect([sentText('', 'L'), sentText('300 imp gal', 'L'), sentText('7.8', null)]).toEqual([
    '',
    '300 imp gal',
    '7.8',
  ])
})

it('writes a number with the unit that was chosen', () => {
  expect([quantity(1000, 'L'), quantity(20, '°C'), quantity(3, 'kg')]).toEqual([
    '264 US gal',
    '68 °F',
    '3 kg',
  ])
  expect(symbolOf('L/h')).toBe('L/h')
  read({})
  expect(quantity(1000, 'L')).toBe('1,000 L')
})
