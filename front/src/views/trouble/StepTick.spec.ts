import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { api } from '@/api/client'
import { queryClient } from '@/api/queries'
import type { System, Trouble } from '@/api/types'
import StepTick from './StepTick.vue'

type Step = Trouble['causes'][number]['steps'][number]
const untold = { stands: 'due', id: null, what: null, by: null, at: null, why: null } as const
const step = (tick: Partial<Step['tick']> = {}): Step => ({
  code: 'incident.any',
  key: 'oxygen incident.any',
  every_h: 24,
  skipping: 'Without air everything else comes too late.',
  tick: { ...untold, ...tick },
  do: 'Give air.',
  why: null,
  page: null,
  fill: {},
  caution: null,
  measure: null,
  figure: null,
})
const put = vi.spyOn(api, 'PUT')
const shown = (one: Step, writes = true) =>
  mount(StepTick, {
    props: { system: { slug: 'vat' } as unknown as System, incident: 'I', step: one, writes },
    global: { plugins: [[VueQueryPlugin, { queryClient }]] },
  })
const named = (page: ReturnType<typeof shown>, name: string) =>
  page.findAll('button').find((one) => one.text() === name)
const done = { what: 'done', by: 'Tobias', at: '2026-06-01T09:00:00Z', id: 'T' } as const

beforeEach(() => {
  put.mockReset()
  put.mockResolvedValue({ data: {}, response: new Response('{}') } as never)
})

it('is done with one press, under the step’s own key', async () => {
  const page = shown(step())
  await named(page, 'Done')!.trigger('click')
  await flushPromises()
  expect((put.mock.calls[0]?.[1] as unknown as { body: unknown }).body).toMatchObject({
    step: 'oxygen incident.any',
    what: 'done',
  })
})

it('says what skipping costs before it is skipped', async () => {
  const page = shown(step())
  expect(page.text()).not.toContain('everything else comes too late')
  await named(page, 'Skip')!.trigger('click')
  expect(page.text()).toContain('everything else comes too late')
  await page.find('input').setValue('no air here')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect((put.mock.calls[0]?.[1] as unknown as { body: unknown }).body).toMatchObject({
    what: 'skipped',
    why: 'no air here',
  })
})

it('tells who did it and may be undone, until it is due again', () => {
  const fresh = shown(step({ ...done, stands: 'done' }))
  expect(fresh.text()).toContain('Tobias')
  expect(named(fresh, 'Done')).toBeUndefined()
  expect(named(fresh, 'Undo')).toBeDefined()
  const again = shown(step({ ...done, stands: 'again' }))
  expect(again.text()).toContain('Due again')
  expect(named(again, 'Done')).toBeDefined()
  expect(named(again, 'Undo')).toBeUndefined()
})

it('offers nothing to whoever only reads', () => {
  expect(shown(step(), false).findAll('button')).toHaveLength(0)
})
