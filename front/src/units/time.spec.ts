import { expect, it } from 'vitest'
import { known } from '@testing/shown'
import { clock, date, day } from './time'

it.each([
  ['Europe/London', '2026-06-01T23:30:00Z', 'Tue 2 Jun, 00:30'],
  ['Asia/Tokyo', '2026-06-01T23:30:00Z', 'Tue 2 Jun, 08:30'],
  ['America/Los_Angeles', '2026-06-01T03:30:00Z', 'Sun 31 May, 20:30'],
])('tells moments in the time of the yard, in %s', (timezone, at, says) => {
  known('session', { person: { site: { timezone } } })
  expect(clock(at)).toBe(says)
})

it('tells a day of the calendar as that day wherever the yard is', () => {
  for (const timezone of ['Pacific/Auckland', 'America/Los_Angeles', 'UTC']) {
    known('session', { person: { site: { timezone } } })
    expect(day('2026-06-01')).toBe('1 Jun 2026')
  }
})

it('reads in universal time while nobody is signed in', () => {
  known('session', { person: null })
  expect(date('2026-01-01T00:05:00Z')).toBe('1 Jan 2026, 00:05')
})
