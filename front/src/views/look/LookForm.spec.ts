import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { api } from '@/api/client'
import { queryClient } from '@/api/queries'
import type { Looks, System } from '@/api/types'
import FishOutline from './FishOutline.vue'
import LookForm from './LookForm.vue'

const looks: Looks = {
  due: null,
  groups: [{ id: 'G', name: 'Koi', count: 12 }],
  singles: [{ id: 'S', name: 'Lady', group: 'G' }],
  signs: [
    { sign: 'flashing', placed: false },
    { sign: 'ulcer', placed: true },
  ],
  looks: [],
}
const put = vi.spyOn(api, 'PUT')

function form() {
  return mount(LookForm, {
    props: { system: { slug: 'vat' } as unknown as System, looks },
    global: { plugins: [[VueQueryPlugin, { queryClient }]] },
  })
}
const tick = (page: ReturnType<typeof form>, sign: string, on = true) =>
  page
    .findAll('fieldset label')
    .find((one) => one.text() === sign)!
    .find('input')
    .setValue(on)
const sent = () => (put.mock.calls.at(-1)?.[1] as unknown as { body: Record<string, unknown> }).body

beforeEach(() => {
  put.mockReset()
  put.mockResolvedValue({ data: looks, response: new Response('{}') } as never)
})

it('marks a place for what has one, and takes the mark away with its sign', async () => {
  const page = form()
  await tick(page, 'flashing')
  expect(page.findComponent(FishOutline).exists()).toBe(false)
  await tick(page, 'ulcer')
  page.findComponent(FishOutline).vm.$emit('press', 'side', 0.4, 0.5)
  await page.vm.$nextTick()
  expect(page.findComponent(FishOutline).props('marks')).toHaveLength(1)
  await tick(page, 'ulcer', false)
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(sent()).toMatchObject({ marks: [], signs: [{ sign: 'flashing', count: 1, severity: 2 }] })
})

it('sends whom was looked at, and says so where nothing was wrong', async () => {
  const page = form()
  expect(page.text()).toContain('Looked, nothing wrong')
  await page.find('select').setValue('single S')
  const well = page.findAll('button').find((one) => one.text() === 'Looked, nothing wrong')!
  await well.trigger('click')
  await flushPromises()
  expect(sent()).toMatchObject({ single: 'S', group: null, nothing: true, signs: [] })
})

it('keeps what was typed when it is refused, and sends it again under the same key', async () => {
  put.mockResolvedValueOnce({
    error: { message: 'Look at it again.', errors: { words: 'Say what you saw.' } },
    response: new Response('{}', { status: 422 }),
  } as never)
  const page = form()
  await page.find('select').setValue('group G')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toBe('Say what you saw.')
  await tick(page, 'ulcer')
  await page.find('form').trigger('submit')
  await flushPromises()
  const ids = put.mock.calls.map(
    (call) => (call[1] as unknown as { params: { path: { id: string } } }).params.path.id,
  )
  expect(ids[1]).toBe(ids[0])
  expect(sent()).toMatchObject({ group: 'G', signs: [{ sign: 'ulcer', count: 1, severity: 2 }] })
})
