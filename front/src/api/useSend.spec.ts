import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { expect, test, vi } from 'vitest'
import { Refusal } from './client'
import { unbooked } from './unbooked'
import { useSend } from './useSend'

/** A form that is sent by `use.send`, kept alive by a page of its own. */
function form(send: (input: string, key: string) => Promise<unknown>, which?: (input: string) => string) {
  let use!: ReturnType<typeof useSend<string>>
  const page = defineComponent(() => {
    use = useSend<string>(send, undefined, which)
    return () => h('div')
  })
  mount(page, { global: { plugins: [[VueQueryPlugin, { queryClient: new QueryClient() }]] } })
  return use
}

test('an answer that was lost is sent again under the same key, the next booking under another', async () => {
  const keys: string[] = []
  const send = vi.fn(async (_: string, key: string) => {
    keys.push(key)
    if (keys.length === 1) throw new Error('The line is dead.')
  })
  const use = form(send)

  use.send('salt')
  await flushPromises()
  expect(use.trouble.value).toBe('The line is dead.')
  use.send('salt')
  await flushPromises()
  use.send('salt')
  await flushPromises()

  expect(keys[1]).toBe(keys[0])
  expect(keys[2]).not.toBe(keys[1])
  expect(use.trouble.value).toBeNull()
})

test('two things that are sent at once are booked under two keys, and the same twice under one', async () => {
  const keys: string[] = []
  const use = form(
    async (_, key) => keys.push(key),
    (input) => input,
  )
  use.send('pump 1')
  use.send('pump 2')
  use.send('pump 1')
  await flushPromises()
  expect(keys[1]).not.toBe(keys[0])
  expect(keys[2]).toBe(keys[0])
})

test('what the server refuses stands at its fields and not in a line of its own', async () => {
  const use = form(async () => {
    throw new Refusal(422, 'Look at it again.', { amount: 'How much was given?' })
  })

  use.send('salt')
  await flushPromises()

  expect(use.errors.value).toEqual({ amount: 'How much was given?' })
  expect(use.trouble.value).toBeNull()
})

test('a key that stands for something else is said in a line, and sent again it is another', async () => {
  const keys: string[] = []
  const use = form(async (_, key) => {
    keys.push(key)
    throw new Refusal(422, 'Look at it again.', { id: 'This key is taken.' })
  })

  use.send('salt')
  await flushPromises()
  expect(use.trouble.value).toBe('This key is taken.')

  use.send('salt')
  await flushPromises()
  expect(keys[1]).not.toBe(keys[0])
})

test('what no page shows is said above it, and what one shows is not said twice', async () => {
  const refused = new Refusal(422, 'Look at it again.', { state: 'It is on already.' })
  let fault: Error = refused
  const use = form(async () => {
    throw fault
  })
  use.send('on')
  await flushPromises()
  expect(unbooked.value).toBe('It is on already.')

  unbooked.value = null
  expect(use.errors.value.state).toBe('It is on already.')
  use.send('on')
  await flushPromises()
  expect(unbooked.value).toBeNull()

  // Its fields are shown, a line of its own it has not.
  fault = new Refusal(500, 'Something went wrong here.')
  use.send('on')
  await flushPromises()
  expect(unbooked.value).toBe('Something went wrong here.')
})

test('what is booked takes back what was said of the press before', async () => {
  unbooked.value = 'It is on already.'
  form(async () => null).send('off')
  await flushPromises()
  expect(unbooked.value).toBeNull()
})
