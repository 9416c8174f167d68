import createClient from 'openapi-fetch'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Waiting } from './kept'
import { keeps, later } from './later'
import { countWaiting, giveUp, sendWaiting, setPerson, signal, tryAgain } from './signal'
import { FROM_DEVICE, withoutSignal } from './withoutSignal'

const store = vi.hoisted(() => ({
  answers: new Map<string, { body: string; at: string }>(),
  waiting: [] as Waiting[],
  next: 1,
}))
vi.mock('./kept', () => ({
  keepAnswer: (path: string, body: string) => {
    store.answers.set(path, { body, at: '2026-06-01T07:00:00Z' })
    return Promise.resolve()
  },
  keptAnswer: (path: string) => Promise.resolve(store.answers.get(path)),
  wait: (entry: Waiting) => Promise.resolve(store.waiting.push({ ...entry, id: store.next++ })),
  waitingNow: () => Promise.resolve(store.waiting.map((one) => ({ ...one }))),
  changeWaiting: (entry: Waiting) => {
    store.waiting = store.waiting.map((one) => (one.id === entry.id ? entry : one))
    return Promise.resolve()
  },
  drop: (id: number) => {
    store.waiting = store.waiting.filter((one) => one.id !== id)
    return Promise.resolve()
  },
}))

const entry = (says: string, person = 'Yard / Maren'): Waiting => ({
  id: store.next++,
  person,
  method: 'POST',
  path: '/api/systems/nursery/log',
  body: { line: says },
  madeAt: '2026-06-01T07:10:00Z',
  says,
})

beforeEach(() => {
  store.answers.clear()
  store.waiting = []
  signal.sent = []
  signal.lost = false
  signal.keptAt = null
  setPerson('Yard / Maren')
})

describe('what may be booked later', () => {
  it.each([
    ['POST', '/api/systems/nursery/log', true],
    ['PUT', '/api/systems/nursery/notes/01J0', true],
    ['PUT', '/api/systems/nursery/incidents/01J0/ticks/01J1', true],
    ['PUT', '/api/systems/nursery/services/01J0/steps/3', true],
    ['PUT', '/api/systems/nursery/skips/01J0', true],
    ['PUT', '/api/rounds/01J0/end', true],
    // Judged where it is asked, or against what others do: they do not wait.
    ['PUT', '/api/systems/nursery/doses/01J0', false],
    ['PUT', '/api/systems/nursery/changes/01J0', false],
    ['PUT', '/api/systems/nursery/incidents/01J0/end', false],
    ['PUT', '/api/rounds/01J0/pass', false],
    ['DELETE', '/api/session', false],
    ['POST', '/api/systems/nursery/log/meaning', false],
  ])('%s %s: %s', (method, path, may) => {
    expect(later(method, path, {}) !== null).toBe(may)
  })

  it('keeps pages and no pictures or exports', () => {
    expect(['/api/round', '/api/systems/nursery/photo', '/api/export', '/'].map(keeps)).toEqual([
      true,
      false,
      false,
      false,
    ])
  })
})

describe('a network that does not answer', () => {
  const client = (fetch: () => Promise<Response>) => {
    const made = createClient<Record<string, never>>({ baseUrl: 'http://yard.test', fetch })
    made.use(withoutSignal)
    return made as unknown as Record<
      'GET' | 'POST',
      (path: string, init?: object) => Promise<{ data?: unknown; response: Response }>
    >
  }
  const gone = () => Promise.reject(new TypeError('Failed to fetch'))

  it('is covered by what was read before, and says of when it is', async () => {
    const there = client(() => Promise.resolve(Response.json({ rows: [1] })))
    await there.GET('/api/round')
    const got = await client(gone).GET('/api/round')
    expect(got.data).toEqual({ rows: [1] })
    expect(got.response.headers.get(FROM_DEVICE)).toBe('read')
    expect([signal.lost, signal.keptAt]).toEqual([true, '2026-06-01T07:00:00Z'])
    await there.GET('/api/round')
    expect([signal.lost, signal.keptAt]).toEqual([false, null])
  })

  it('makes an entry wait with what was typed, and refuses what cannot', async () => {
    const got = await client(gone).POST('/api/systems/nursery/log', { body: { id: '01J0', line: 'am .1' } })
    expect(got.response.headers.get(FROM_DEVICE)).toBe('waits')
    expect(store.waiting.map((one) => [one.says, one.body])).toEqual([
      ['nursery: am .1', { id: '01J0', line: 'am .1' }],
    ])
    await expect(client(gone).POST('/api/systems/nursery/unknown', { body: {} })).rejects.toThrow()
    setPerson(null)
    await expect(client(gone).POST('/api/systems/nursery/log', { body: {} })).rejects.toThrow()
  })
})

describe('when it is back', () => {
  it('sends in order, keeps what is refused with its reason, and goes on', async () => {
    store.waiting = [entry('one'), entry('two'), entry('three'), entry('theirs', 'Yard / Tobias')]
    const asked: string[] = []
    const booked = await sendWaiting((one) => {
      asked.push(one.says)
      return Promise.resolve(
        one.says === 'two' ? { ok: false, says: 'No such time.' } : { ok: true, says: null },
      )
    })
    expect([booked, asked, signal.sent]).toEqual([2, ['one', 'two', 'three'], ['one', 'three']])
    expect(signal.waiting.map((one) => [one.says, one.refused])).toEqual([['two', 'No such time.']])
    const refused = signal.waiting[0]
    if (!refused) throw new Error('nothing was refused')
    await tryAgain(refused)
    expect(signal.waiting[0]?.refused).toBeUndefined()
    await giveUp(refused.id ?? 0)
    expect(signal.waiting).toEqual([])
    expect(store.waiting.map((one) => one.says)).toEqual(['theirs'])
  })

  it('stops where the network goes again, and sends nothing twice at once', async () => {
    store.waiting = [entry('one'), entry('two')]
    let asked = 0
    const gone = () => {
      asked++
      return Promise.reject(new TypeError('Failed to fetch'))
    }
    await Promise.all([sendWaiting(gone), sendWaiting(gone)])
    expect(asked).toBe(1)
    await countWaiting()
    expect(signal.waiting.map((one) => one.says)).toEqual(['one', 'two'])
  })
})
