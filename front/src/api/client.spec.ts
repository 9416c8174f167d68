import { beforeEach, expect, it } from 'vitest'
import { answers, asked, dies, refuses } from '@testing/server'
import { answer, api, orWaits, Refusal, Waits } from './client'

const site = () => answer(() => api.PUT('/api/site', { body: { altitude_m: '1' } as never }))
const caught = async (ask: Promise<unknown>): Promise<Refusal> => {
  const error = await ask.then(
    () => null,
    (thrown: unknown) => thrown,
  )
  expect(error).toBeInstanceOf(Refusal)
  return error as Refusal
}

beforeEach(() => {
  document.cookie = 'XSRF-TOKEN=first%3D'
})

it('gives what was answered', async () => {
  answers('PUT /api/site', { altitude_m: 1 })
  expect(await site()).toEqual({ altitude_m: 1 })
})

it('gets a new token where the old one has gone stale, and sends the same once more', async () => {
  let tries = 0
  answers('PUT /api/site', () => ({ tries: ++tries }), 419)
  answers('GET /api/session', () => {
    answers('PUT /api/site', { altitude_m: 1 })
    return { person: null }
  })
  expect(await site()).toEqual({ altitude_m: 1 })
  expect(asked.map((one) => `${one.method} ${one.path}`)).toEqual([
    'PUT /api/site',
    'GET /api/session',
    'PUT /api/site',
  ])
  expect(asked[2]!.body).toEqual(asked[0]!.body)
})

it('tries a stale token once, not for ever', async () => {
  answers('PUT /api/site', {}, 419)
  answers('GET /api/session', {})
  expect((await caught(site())).status).toBe(419)
  expect(asked).toHaveLength(3)
})

it('tells what is refused with the message of each field', async () => {
  refuses('PUT /api/site', { altitude_m: 'Not that high.' })
  const refusal = await caught(site())
  expect([refusal.status, refusal.errors]).toEqual([422, { altitude_m: 'Not that high.' }])
})

it('makes a sentence of a lost connection, and of an answer that is no sentence', async () => {
  dies('PUT /api/site')
  const lost = await caught(site())
  expect(lost.status).toBe(0)
  expect(lost.message).toMatch(/what you typed is still here/)
  answers('PUT /api/site', 'oops', 500)
  expect(await caught(site())).toMatchObject({ status: 500, message: 'That could not be done.', errors: {} })
})

it('takes what waits on the device as done for whoever is content with that, and nothing else', () => {
  expect(orWaits(new Waits())).toBeNull()
  expect(() => orWaits(new Refusal(422, 'No.'))).toThrow('No.')
})
