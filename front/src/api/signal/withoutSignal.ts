import type { Middleware } from 'openapi-fetch'
import { keepAnswer, keptAnswer, wait } from './kept'
import { keeps, later } from './later'
import { countWaiting, signal, whoWaits } from './signal'

/** Says of an answer that it came from this device, or that an entry waits on it. */
export const FROM_DEVICE = 'X-From-Device'

/** Bodies by the id of a request: once it was tried they cannot be read any more. */
const bodies = new Map<string, string>()
const pathOf = (request: Request) => {
  const url = new URL(request.url)
  return url.pathname + url.search
}
const json = (text: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    return {}
  }
}

/**
 * What is read is kept on the device, and shown again where no answer comes; what is booked then waits for its turn.
 * Only a network that does not answer counts: what the server refuses is refused.
 */
export const withoutSignal: Middleware = {
  async onRequest({ request, id }) {
    if (request.method !== 'GET') bodies.set(id, await request.clone().text())
    return undefined
  },
  async onResponse({ request, response, id }) {
    bodies.delete(id)
    // What this device said itself passes here too.
    if (response.headers.has(FROM_DEVICE)) return undefined
    signal.lost = false
    signal.keptAt = null
    const path = pathOf(request)
    if (request.method === 'GET' && response.ok && keeps(path)) {
      const text = await response.clone().text()
      void keepAnswer(path, text).catch(() => undefined)
    }
    return undefined
  },
  async onError({ request, id }) {
    const text = bodies.get(id) ?? ''
    bodies.delete(id)
    signal.lost = true
    const path = pathOf(request)
    if (request.method === 'GET') {
      const kept = await keptAnswer(path).catch(() => undefined)
      if (kept === undefined) return undefined
      signal.keptAt = signal.keptAt === null || kept.at < signal.keptAt ? kept.at : signal.keptAt
      return new Response(kept.body, {
        headers: { 'Content-Type': 'application/json', [FROM_DEVICE]: 'read' },
      })
    }
    const body = json(text)
    const found = later(request.method, path, body)
    if (found === null || whoWaits() === '') return undefined
    await wait({
      person: whoWaits(),
      method: request.method,
      path,
      body,
      madeAt: new Date().toISOString(),
      says: found.slug === null ? found.says : `${found.slug}: ${found.says}`,
    })
    await countWaiting()
    return new Response('{}', {
      status: 202,
      headers: { 'Content-Type': 'application/json', [FROM_DEVICE]: 'waits' },
    })
  },
}
