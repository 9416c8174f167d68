/** A server for the tests of the front: it answers by method and path, and keeps what was asked of it. */
export interface Asked {
  method: string
  path: string
  query: Record<string, string>
  body: unknown
}

type Reply = unknown | ((asked: Asked) => unknown)

const replies = new Map<string, { status: number; reply: Reply }>()
export const asked: Asked[] = []

/** `answers('GET /api/systems', [])`: until it is told otherwise or the test is over. */
export function answers(what: string, reply: Reply, status = 200): void {
  replies.set(what, { status, reply })
}

/** `refuses('PUT /api/site', { altitude_m: 'Too high.' })`: at its fields, as the product does. */
export const refuses = (what: string, errors: Record<string, string>): void =>
  answers(what, { message: 'Look at it again.', errors }, 422)

/** No answer comes any more. */
export const dies = (what: string): void => answers(what, null, 0)

export function forget(): void {
  replies.clear()
  asked.length = 0
}

/** The bodies that were sent there, in order. */
export const sent = (what: string): unknown[] =>
  asked.filter((one) => `${one.method} ${one.path}` === what).map((one) => one.body)

globalThis.fetch = async (input: RequestInfo | URL, init?: RequestInit): Promise<Response> => {
  const request = input instanceof Request ? input : new Request(input, init)
  const url = new URL(request.url)
  const text = request.method === 'GET' ? '' : await request.text()
  const one = {
    method: request.method,
    path: url.pathname,
    query: Object.fromEntries(url.searchParams),
    body: text === '' ? null : (JSON.parse(text) as unknown),
  }
  asked.push(one)
  const found = replies.get(`${one.method} ${one.path}`)
  if (found?.status === 0) throw new TypeError('The network is down.')
  const said: unknown = await (typeof found?.reply === 'function' ? found.reply(one) : found?.reply)
  return new Response(JSON.stringify(said ?? { message: `Nothing answers ${one.path}.` }), {
    status: found?.status ?? 404,
    headers: { 'Content-Type': 'application/json' },
  })
}
