import { QueryClient } from '@tanstack/vue-query'
import { Refusal } from '../client'

export const queryClient = new QueryClient({
  defaultOptions: {
    // Without signal a page shows what it was told last, and an entry waits: nothing is held back here.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 15_000,
      retry: (failures, error) => error instanceof Refusal && error.status === 0 && failures < 2,
    },
  },
})

queryClient.getQueryCache().subscribe((event) => {
  const error = event.query.state.error
  if (error instanceof Refusal && error.status === 401 && event.query.queryKey[0] !== 'session') {
    queryClient.invalidateQueries({ queryKey: ['session'] })
  }
})

/** What no booking changes; all else can be changed by any, at other systems too. */
const LASTS = new Set(['session', 'vocabulary', 'sources', 'calc', 'working', 'reference'])

/** Whatever a booking or a change of the build can have changed is asked anew where it is shown. */
export async function refreshBook(): Promise<void> {
  await queryClient.invalidateQueries({ predicate: (query) => !LASTS.has(String(query.queryKey[0])) })
}
