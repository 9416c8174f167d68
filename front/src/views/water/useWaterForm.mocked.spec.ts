import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useWaterForm } from './useWaterForm'

const { get } = vi.hoisted(() => ({ get: vi.fn() }))
vi.mock('@/api/client', async (original) => ({
  ...(await original<typeof import('@/api/client')>()),
  api: { GET: get },
  answer: (ask: () => Promise<unknown>) => ask(),
}))

const asked = () =>
  get.mock.calls
    .filter(([path]) => path === '/api/systems/{system}/water')
    .map(([, options]) => options.params.query.typed)

async function form(query = '') {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:system/water', component: { template: '<i />' } }],
  })
  await router.push(`/vat/water${query}`)
  let made!: ReturnType<typeof useWaterForm>
  mount(
    defineComponent(() => {
      made = useWaterForm(
        () => 'vat',
        (page): Record<string, string> => (page ? { change_l: '900' } : {}),
      )
      return () => h('div')
    }),
    { global: { plugins: [router, [VueQueryPlugin, { queryClient: new QueryClient() }]] } },
  )
  await flushPromises()
  return made
}

beforeEach(() => {
  sessionStorage.clear()
  vi.useFakeTimers({ shouldAdvanceTime: true })
  get.mockReset()
  get.mockResolvedValue({ minimum: null, waters: [], errors: {} })
})

it('asks for what is proposed as long as no amount is typed, and for what is typed once it is', async () => {
  const made = await form()
  await vi.advanceTimersByTimeAsync(400)
  expect(asked().at(-1)).toMatchObject({ change_l: '900' })
  expect(made.typed.value).toBe(false)
  made.form.value.change_pct = '20'
  await vi.advanceTimersByTimeAsync(400)
  expect(asked().at(-1)).toMatchObject({ change_pct: '20' })
  expect(asked().at(-1)).not.toHaveProperty('change_l')
  expect(made.typed.value).toBe(true)
})

it('takes over the one amount that another page has filled in', async () => {
  sessionStorage.setItem('water-vat', JSON.stringify({ change_l: '500', goal: 'ph' }))
  const made = await form('?change_pct=50')
  expect(made.form.value).toMatchObject({ change_pct: '50', change_l: '', goal: 'ph' })
})
