import { answer, api } from '../client'
import { countWaiting, sendWaiting, setPerson, signal } from './signal'
import type { Waiting } from './kept'

/** How often the last state of every system is read anew for a time without signal, and how often sending is tried. */
const READ_EVERY_MS = 15 * 60_000
const TRY_EVERY_MS = 20_000

async function send(entry: Waiting): Promise<{ ok: boolean; says: string | null }> {
  const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
  const ask = () =>
    fetch(entry.path, {
      method: entry.method,
      headers: {
        'Content-Type': 'application/json',
        Accept: 'application/json',
        'X-XSRF-TOKEN': decodeURIComponent(token),
        'X-Made-At': entry.madeAt,
      },
      ...(entry.method === 'DELETE' ? {} : { body: JSON.stringify(entry.body) }),
    })
  const response = await ask()
  signal.lost = false
  // Signed out, a page past its token, a server that is not well: all of them pass, and the entry waits on.
  if (response.status === 401 || response.status === 419 || response.status >= 500) throw new Error('not now')
  if (response.ok) return { ok: true, says: null }
  const body = (await response.json().catch(() => ({}))) as {
    message?: string
    errors?: Record<string, string>
  }
  return { ok: false, says: Object.values(body.errors ?? {})[0] ?? body.message ?? null }
}

/** Reads the round, and of every system what one wants without signal: its state, trouble, card and open services. */
async function read(): Promise<void> {
  const systems = await answer(() => api.GET('/api/systems'))
  await Promise.allSettled([api.GET('/api/round'), api.GET('/api/rounds'), api.GET('/api/timers')])
  for (const { slug } of systems) {
    const path = { params: { path: { system: slug } } }
    await Promise.allSettled([
      api.GET('/api/systems/{system}', path),
      api.GET('/api/systems/{system}/trouble', { params: { ...path.params, query: { seen: '' } } }),
      api.GET('/api/systems/{system}/card', path),
    ])
    const service = await answer(() => api.GET('/api/systems/{system}/service', path)).catch(() => null)
    await Promise.allSettled(
      (service?.open ?? []).map((run) =>
        api.GET('/api/systems/{system}/services/{id}', { params: { path: { system: slug, id: run.id } } }),
      ),
    )
    if (signal.lost) return
  }
}

/** Keeps what is wanted without signal, and sends what waited once it is back; `after` that pages are read anew. */
export function keepForLater(person: string, after: () => void): () => void {
  setPerson(person)
  const trySending = async () => {
    await countWaiting()
    const open = signal.waiting.some((one) => one.refused === undefined)
    if (open && (await sendWaiting(send)) > 0) after()
    else if (!open && signal.lost)
      await fetch('/api/health')
        .then(() => after())
        .catch(() => undefined)
  }
  const reading = () => {
    if (document.visibilityState === 'visible' && !signal.lost) void read().catch(() => undefined)
  }
  const online = () => void trySending()
  window.addEventListener('online', online)
  const tries = window.setInterval(online, TRY_EVERY_MS)
  const reads = window.setInterval(reading, READ_EVERY_MS)
  const first = window.setTimeout(reading, 4000)
  // Who is signed in is known of a device without signal by what was kept.
  void api.GET('/api/session').catch(() => undefined)
  void trySending()
  return () => {
    window.removeEventListener('online', online)
    window.clearInterval(tries)
    window.clearInterval(reads)
    window.clearTimeout(first)
    setPerson(null)
  }
}
