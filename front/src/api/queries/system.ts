/** What one system says: how it stands, its book, what to do. */
import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api } from '../client'

export const useSystem = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['system', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}', { params: { path: { system: toValue(slug) } } })),
  })

/** The emergency card of a system. */
export const useCard = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['trouble', computed(() => toValue(slug)), 'card'],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/card', { params: { path: { system: toValue(slug) } } })),
  })

/** Where fish could go out of trouble. */
export const useRefuges = (slug: MaybeRefOrGetter<string>, wanted: MaybeRefOrGetter<boolean>) =>
  useQuery({
    queryKey: ['trouble', computed(() => toValue(slug)), 'refuges'],
    enabled: computed(() => toValue(wanted)),
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/refuges', { params: { path: { system: toValue(slug) } } })),
  })

export const useIncidents = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['trouble', computed(() => toValue(slug)), 'incidents'],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/incidents', { params: { path: { system: toValue(slug) } } }),
      ),
  })

export const useIncident = (slug: MaybeRefOrGetter<string>, id: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['trouble', computed(() => toValue(slug)), 'incident', computed(() => toValue(id))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/incidents/{id}', {
          params: { path: { system: toValue(slug), id: toValue(id) } },
        }),
      ),
  })

/** The year of a system: its water, feed and jobs by month and season. */
export const useYear = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['service', computed(() => toValue(slug)), 'year'],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/service/year', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** What runs in a system, and what stands. */
export const useRunning = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['running', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/running', { params: { path: { system: toValue(slug) } } })),
  })

/** What to do about the readings of a system and what is seen in it. */
export const useTrouble = (slug: MaybeRefOrGetter<string>, seen: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['trouble', computed(() => toValue(slug)), computed(() => toValue(seen))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/trouble', {
          params: { path: { system: toValue(slug) }, query: { seen: toValue(seen) } },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** Something worked out for one system, with what the book knows filled in. */
export const useBench = (
  slug: MaybeRefOrGetter<string>,
  bench: MaybeRefOrGetter<string>,
  typed: MaybeRefOrGetter<Record<string, string>>,
) =>
  useQuery({
    queryKey: [
      'bench',
      computed(() => toValue(slug)),
      computed(() => toValue(bench)),
      computed(() => toValue(typed)),
    ],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/bench/{bench}', {
          params: {
            path: { system: toValue(slug), bench: toValue(bench) },
            query: { typed: toValue(typed) },
          },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** Water made from several. */
export const useBlend = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['bench', computed(() => toValue(slug)), 'blend', computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/bench/blend', {
          params: { path: { system: toValue(slug) }, query: { typed: toValue(typed) } },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** Limits, intervals and source of one system. */
export const useLimits = (slug: MaybeRefOrGetter<string>, enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: ['limits', computed(() => toValue(slug))],
    enabled: computed(() => toValue(enabled)),
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/limits', { params: { path: { system: toValue(slug) } } })),
  })

/** What another school would change in a system, before it is followed. */
export const useSchoolTrial = (
  slug: MaybeRefOrGetter<string>,
  topic: MaybeRefOrGetter<string>,
  school: MaybeRefOrGetter<string | undefined>,
) =>
  useQuery({
    queryKey: [
      'trial',
      computed(() => toValue(slug)),
      computed(() => toValue(topic)),
      computed(() => toValue(school)),
    ],
    enabled: computed(() => toValue(school) !== undefined),
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/schools/{topic}/trial', {
          params: {
            path: { system: toValue(slug), topic: toValue(topic) },
            query: { school: toValue(school) },
          },
        }),
      ),
  })

/** The history of a system, drawn in to what so many pixels can show. */
export const useScore = (
  slug: MaybeRefOrGetter<string>,
  span: MaybeRefOrGetter<{ from: string; to: string; pixels: string }>,
) =>
  useQuery({
    queryKey: ['score', computed(() => toValue(slug)), computed(() => toValue(span))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/score', {
          params: { path: { system: toValue(slug) }, query: toValue(span) },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** Entries of the book, newest first. */
export const useBook = (
  slug: MaybeRefOrGetter<string>,
  query: MaybeRefOrGetter<{ kinds: string; before: string }>,
) =>
  useQuery({
    queryKey: ['book', computed(() => toValue(slug)), computed(() => toValue(query))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/book', {
          params: { path: { system: toValue(slug) }, query: toValue(query) },
        }),
      ),
    placeholderData: (previous) => previous,
  })
