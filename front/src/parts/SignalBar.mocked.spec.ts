import { beforeEach, expect, it, vi } from 'vitest'
import { signal } from '@/api/signal/signal'
import { known, shown, signedIn, system } from '@testing/shown'
import SignalBar from './SignalBar.vue'

const { giveUp, tryAgain } = vi.hoisted(() => ({ giveUp: vi.fn(), tryAgain: vi.fn() }))
vi.mock('@/api/signal/signal', async (original) => ({
  ...(await original<typeof import('@/api/signal/signal')>()),
  giveUp,
  tryAgain,
}))

const entry = (id: number, more: object = {}) => ({
  id,
  person: 'Maren',
  method: 'POST',
  path: '/api/systems/nursery/log',
  body: {},
  madeAt: '2026-06-01T07:10:00Z',
  says: 'nursery: am .5',
  ...more,
})

beforeEach(() => {
  signedIn()
  known('systems', [system('nursery', { state: 'act' }), system('arrivals')])
  Object.assign(signal, { lost: false, keptAt: null, waiting: [], sent: [] })
})

it('is not there while all is well', async () => {
  expect((await shown(SignalBar)).find('section').exists()).toBe(false)
})

it('says how old what one sees is, in the time of the yard, and how much waits', async () => {
  Object.assign(signal, { lost: true, keptAt: '2026-06-01T07:00:00Z', waiting: [entry(1), entry(2)] })
  const page = await shown(SignalBar)
  expect(page.text()).toContain('Mon 1 Jun, 08:00')
  expect(page.find('summary').text()).toBe('2 entries wait on this device')
})

it('keeps what was refused with its reason until somebody decides', async () => {
  const refused = entry(3, { refused: 'pH cannot be 78.' })
  signal.waiting = [refused]
  const page = await shown(SignalBar)
  expect(page.find('.fault').text()).toContain('pH cannot be 78.')
  expect(page.find('summary').exists()).toBe(false)
  const [again, away] = page.findAll('button')
  await again!.trigger('click')
  expect(tryAgain).toHaveBeenCalledWith(refused)
  await away!.trigger('click')
  expect(giveUp).toHaveBeenCalledWith(3)
})

it('shows how the systems stand of which something was booked, and no others', async () => {
  signal.sent = ['nursery: am .5']
  const page = await shown(SignalBar)
  expect(page.text()).toContain('Booked now: nursery: am .5')
  expect(page.findAll('.mark').map((one) => one.text())).toEqual(['act'])
})
