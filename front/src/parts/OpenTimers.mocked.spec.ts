import { VueQueryPlugin } from '@tanstack/vue-query'
import { mount, RouterLinkStub } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { queryClient } from '@/api/queries'
import type { Timer } from '@/api/types'
import OpenTimers from './OpenTimers.vue'

const { rows, beep, fails } = vi.hoisted(() => ({
  rows: [] as Timer[],
  beep: vi.fn(),
  fails: { with: null as Error | null },
}))
vi.mock('@/state/beep', () => ({ beep }))
vi.mock('@/api/queries', async (original) => ({
  ...(await original<typeof import('@/api/queries')>()),
  useTimers: () => ({
    data: ref(fails.with ? undefined : rows),
    isError: ref(fails.with !== null),
    error: ref(fails.with),
  }),
  useSession: () => ({ data: ref({ person: { writes: true } }) }),
}))

const NOW = new Date('2026-06-01T12:00:00Z')
const since = (minutes: number) => new Date(NOW.getTime() - 60_000 * minutes).toISOString()
const timer = (more: Partial<Timer> & Pick<Timer, 'kind'>): Timer => ({
  id: 'T',
  system: 'vat',
  system_name: 'Vat',
  says: 'Main pump',
  since: since(10),
  minutes: null,
  planned: null,
  by: null,
  act_at: null,
  emergency_at: null,
  ...more,
})
function shown(one: Timer) {
  rows.splice(0, rows.length, one)
  return mount(OpenTimers, {
    global: { plugins: [[VueQueryPlugin, { queryClient }]], stubs: { RouterLink: RouterLinkStub } },
  })
}

beforeEach(() => vi.useFakeTimers({ now: NOW }))
afterEach(() => vi.useRealTimers())

it('counts a drip down, then asks for the net and nothing worse', () => {
  const drip = { kind: 'drip', says: 'June koi', planned: 90, act_at: 90 } as const
  const early = shown(timer({ ...drip, since: since(30) }))
  expect(early.text()).toContain('60 min left')
  expect(early.find('li').classes()).toContain('watch')
  const over = shown(timer({ ...drip, since: since(90) }))
  expect(over.text()).toContain('net them across')
  expect(over.find('li').classes()).toContain('act')
  expect(over.findComponent(RouterLinkStub).props('to')).toMatchObject({ name: 'arrivals' })
})

it('turns from watch to act to emergency at the very minutes it is told', () => {
  const off = {
    kind: 'pump_off',
    minutes: 60,
    planned: 20,
    act_at: 20,
    emergency_at: 60,
    by: 'oxygen',
  } as const
  const state = (minutes: number) =>
    shown(timer({ ...off, since: since(minutes) }))
      .find('li')
      .classes()
  expect(state(19.9)).toContain('watch')
  expect(state(20)).toContain('act')
  expect(state(59.9)).toContain('act')
  expect(state(60)).toContain('emergency')
  expect(shown(timer({ ...off, since: since(61) })).text()).toContain('oxygen is dangerous now')
})

it('makes a bath heard once its last safe minute is over, and never before', () => {
  const bath = { kind: 'bath', minutes: 30, act_at: 15, emergency_at: 30 } as const
  shown(timer({ ...bath, since: since(29) }))
  vi.advanceTimersByTime(4_000)
  expect(beep).not.toHaveBeenCalled()
  const page = shown(timer({ ...bath, since: since(31) }))
  vi.advanceTimersByTime(4_000)
  expect(beep).toHaveBeenCalled()
  expect(page.find('button').text()).toBe('Fish are out')
})

it('shows nothing at all where nothing is open', () => {
  rows.splice(0)
  const page = mount(OpenTimers, { global: { plugins: [[VueQueryPlugin, { queryClient }]] } })
  expect(page.find('ul').exists()).toBe(false)
})

it('never looks as if nothing were open where that could not be read', () => {
  fails.with = new Error('Something went wrong here.')
  const page = mount(OpenTimers, { global: { plugins: [[VueQueryPlugin, { queryClient }]] } })
  expect(page.find('[role=alert]').text()).toContain('Something went wrong here.')
  fails.with = null
})
