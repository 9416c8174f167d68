import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h, ref } from 'vue'
import { beforeEach, expect, test, vi } from 'vitest'
import { Refusal } from '@/api/client'
import { asTyped, nextName, usePart } from './usePart'

const { put } = vi.hoisted(() => ({ put: vi.fn() }))
vi.mock('@/api/client', async (original) => ({
  ...(await original<typeof import('@/api/client')>()),
  api: { PUT: put },
  answer: (ask: () => Promise<unknown>) => ask(),
}))
vi.mock('@/api/queries', () => ({ refreshBook: async () => stored.value.splice(0, 1, saved()) }))

type Pump = { id: string; version: string; name: string; curve: { flow_l_h: number }[] }
const mine: Pump = { id: 'P1', version: 'a', name: 'Main', curve: [{ flow_l_h: 8000 }] }
/** What the book holds after somebody else has saved. */
const saved = (): Pump => ({ ...mine, version: 'b', name: 'Main pump', curve: [{ flow_l_h: 9000 }] })
const stored = ref<Pump[]>([mine])

function editor() {
  let part!: ReturnType<typeof usePart<Pump>>
  mount(
    defineComponent(() => {
      part = usePart<Pump>(
        () => 'press-room',
        'pumps',
        () => ({ name: '' }),
        () => stored.value,
        (pump) => asTyped({ name: pump.name }),
        (pump) => pump.curve.map((point) => ({ flow_l_h: String(point.flow_l_h) })),
      )
      return () => h('div')
    }),
    { global: { plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]] } },
  )
  return part
}

beforeEach(() => {
  stored.value = [mine]
  put.mockReset()
})

test('told that somebody else saved, one sees what they saved, and what one typed stays', async () => {
  put.mockRejectedValueOnce(new Refusal(422, 'Look again.', { seen: 'Somebody changed this.' }))
  const part = editor()
  part.edit(mine)
  part.form.name = 'Big pump'

  part.save.mutate({})
  await flushPromises()

  expect(part.trouble.value).toBe('Somebody changed this.')
  expect(part.theirs.value.name).toBe('Main pump')
  expect(part.theirRows.value).toEqual([{ flow_l_h: '9000' }])
  expect(part.form.name).toBe('Big pump')
})

test('saving again after that goes by the version one has been shown', async () => {
  put.mockRejectedValueOnce(new Refusal(422, 'Look again.', { seen: 'Somebody changed this.' }))
  const part = editor()
  part.edit(mine)
  part.save.mutate({})
  await flushPromises()
  put.mockResolvedValueOnce({})

  part.save.mutate({})
  await flushPromises()

  expect(put.mock.calls.map(([, sent]) => sent.body.seen)).toEqual(['a', 'b'])
  expect(part.open.value).toBeNull()
})

test('a part opened again forgets what was theirs', async () => {
  put.mockRejectedValueOnce(new Refusal(422, 'Look again.', { seen: 'Somebody changed this.' }))
  const part = editor()
  part.edit(mine)
  part.save.mutate({})
  await flushPromises()

  part.edit(saved())

  expect(part.theirs.value).toEqual({})
  expect(part.theirRows.value).toBeUndefined()
})

test('a new part keeps its key, so that saving twice makes one', async () => {
  put.mockRejectedValueOnce(new Refusal(0, 'No answer.')).mockResolvedValueOnce({})
  const part = editor()
  part.edit(null)
  part.save.mutate({})
  await flushPromises()
  part.save.mutate({})
  await flushPromises()

  const ids = put.mock.calls.map(([, sent]) => sent.params.path.id)
  expect(ids[0]).toHaveLength(26)
  expect(ids[1]).toBe(ids[0])
})

test('a copy is something new under the next name, with all that was typed of the first', async () => {
  stored.value = [mine, { ...mine, id: 'P2', name: 'Main 2' }]
  put.mockResolvedValueOnce({})
  const part = editor()
  part.edit(mine)
  part.copy()
  expect(part.fresh.value).toBe(true)
  expect(part.form.name).toBe('Main 3')

  part.save.mutate({})
  await flushPromises()
  const [, sent] = put.mock.calls[0] ?? []
  expect(sent.params.path.id).not.toBe('P1')
  expect(sent.body).toMatchObject({ name: 'Main 3', seen: undefined })
})

test('names go on from the last that is taken', () => {
  expect(nextName('Bay 1', ['Bay 1', 'Bay 2'])).toBe('Bay 3')
  expect(nextName('Sump', ['Sump'])).toBe('Sump 2')
  expect(nextName('', ['Sump'])).toBe('')
})
