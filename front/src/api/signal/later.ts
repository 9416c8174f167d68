/** What may be booked later: entries of a book, each under its own key, none that has to be judged on the spot. */
const LATER: { method: string; path: RegExp; says: (body: Record<string, unknown>) => string }[] = [
  { method: 'POST', path: /^\/api\/systems\/([^/]+)\/log$/, says: (body) => String(body.line ?? '') },
  {
    method: 'PUT',
    path: /^\/api\/systems\/([^/]+)\/notes\/\w+$/,
    says: (body) => String(body.words || 'a note'),
  },
  {
    method: 'PUT',
    path: /^\/api\/systems\/([^/]+)\/feeds\/\w+$/,
    says: (body) => `${String(body.feed_g)} g of feed`,
  },
  { method: 'PUT', path: /^\/api\/systems\/([^/]+)\/looks\/\w+$/, says: () => 'a look at fish' },
  { method: 'PUT', path: /^\/api\/systems\/([^/]+)\/incidents\/\w+$/, says: () => 'an incident opened' },
  {
    method: 'PUT',
    path: /^\/api\/systems\/([^/]+)\/incidents\/\w+\/ticks\/\w+$/,
    says: (body) => `${body.what === 'skipped' ? 'skipped' : 'done'}: ${String(body.words ?? '')}`,
  },
  {
    method: 'PUT',
    path: /^\/api\/systems\/([^/]+)\/services\/\w+\/(steps\/\d+|flow)$/,
    says: () => 'a step of a service',
  },
  {
    method: 'PUT',
    path: /^\/api\/systems\/([^/]+)\/skips\/\w+$/,
    says: (body) => `skipped: ${String(body.why)}`,
  },
  { method: 'DELETE', path: /^\/api\/systems\/([^/]+)\/skips\/\w+$/, says: () => 'not skipped after all' },
  { method: 'PUT', path: /^\/api\/rounds\/\w+$/, says: () => 'a round begun' },
  { method: 'PUT', path: /^\/api\/rounds\/\w+\/end$/, says: () => 'a round finished' },
]

/** In words, and of which system; null for what cannot wait. */
export function later(
  method: string,
  path: string,
  body: unknown,
): { says: string; slug: string | null } | null {
  for (const one of LATER) {
    const found = one.method === method ? one.path.exec(path) : null
    if (found) {
      const typed = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {}
      return { says: one.says(typed), slug: found[1] ?? null }
    }
  }
  return null
}

/** What is kept of what was read: pages, not pictures, and nothing that is drawn anew with each look. */
export const keeps = (path: string): boolean =>
  path.startsWith('/api/') && !/\/(photo|score|csv|export|backup|calendar|feed)\b/.test(path)
