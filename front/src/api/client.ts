import createClient, { type Middleware } from 'openapi-fetch'
import type { paths } from './contract'
import { FROM_DEVICE, withoutSignal } from './signal/withoutSignal'
import type { FieldErrors } from './types'

/** An answer that is not a success: a sentence, and a message for each field. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: FieldErrors = {},
  ) {
    super(message)
  }
}

/** No answer came, and the entry waits on this device: it is booked when there is signal again. */
export class Waits extends Error {}

/** For whoever is content to have an entry wait. */
export function orWaits(error: unknown): null {
  if (error instanceof Waits) return null
  throw error
}

function token(): string {
  const found = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]*)/)
  return found?.[1] === undefined ? '' : decodeURIComponent(found[1])
}

const withToken: Middleware = {
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json')
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', token())
    return request
  },
}

export const api = createClient<paths>({ baseUrl: '/' })
api.use(withToken, withoutSignal)

const unreachable =
  'No answer. Nothing was lost: what you typed is still here. Look at the network and try again.'

type Answer<T> = { data?: T; error?: unknown; response: Response }

/**
 * The data of an answer, or a Refusal. A page that lay open past its token gets a new one and tries
 * once more; a lost connection becomes a sentence.
 */
export async function answer<T>(ask: () => Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>
  try {
    got = await ask()
    if (got.response.status === 419) {
      await api.GET('/api/session')
      got = await ask()
    }
  } catch {
    throw new Refusal(0, unreachable)
  }
  if (got.response.headers.get(FROM_DEVICE) === 'waits') throw new Waits('It waits on this device.')
  if (got.response.ok) return got.data as T
  const body = got.error as { message?: string; errors?: FieldErrors } | undefined
  throw new Refusal(got.response.status, body?.message ?? 'That could not be done.', body?.errors ?? {})
}
