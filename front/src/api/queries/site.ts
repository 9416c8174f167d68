/** What is of the whole site: who is signed in, words, lists, and what stands on every page. */
import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api } from '../client'
import type { Calculation, Figure } from '../types'

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: () => answer(() => api.GET('/api/session')),
    staleTime: 300_000,
  })

export const useVocabulary = () =>
  useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => answer(() => api.GET('/api/vocabulary')),
    staleTime: Infinity,
  })

export const useSources = () =>
  useQuery({
    queryKey: ['sources'],
    queryFn: () => answer(() => api.GET('/api/sources')),
    staleTime: Infinity,
  })

export const useCalculators = () =>
  useQuery({ queryKey: ['calc'], queryFn: () => answer(() => api.GET('/api/calc')), staleTime: Infinity })

export const useSystems = () =>
  useQuery({
    queryKey: ['systems'],
    queryFn: () => answer(() => api.GET('/api/systems')),
    refetchInterval: 60_000,
  })

/** Survival and losses of the site. */
export const useLosses = () =>
  useQuery({ queryKey: ['fish', 'losses'], queryFn: () => answer(() => api.GET('/api/losses')) })

/** Where the site lies, and what power costs there. */
export const usePlace = () =>
  useQuery({ queryKey: ['place'], queryFn: () => answer(() => api.GET('/api/site')) })

/** What a month or a year was: of one system, or of all where none is named. */
export const useReport = (period: MaybeRefOrGetter<string>, system: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['report', computed(() => toValue(period)), computed(() => toValue(system))],
    queryFn: () => {
      const of = toValue(system)
      const query = { period: toValue(period), ...(of ? { system: of } : {}) }
      return answer(() => api.GET('/api/reports', { params: { query } }))
    },
  })

/** All that is due within a fortnight. */
export const useCalendar = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => answer(() => api.GET('/api/calendar')) })

/** What is open on the site and must not be forgotten. */
export const useTimers = () =>
  useQuery({
    queryKey: ['timers'],
    queryFn: () => answer(() => api.GET('/api/timers')),
    refetchInterval: 30_000,
  })

/** The sheets that hang in the shed. */
export const useReference = () =>
  useQuery({
    queryKey: ['reference'],
    queryFn: () => answer(() => api.GET('/api/reference')),
    staleTime: Infinity,
  })

/** Every system by urgency, with what is due there. */
export const useRound = () =>
  useQuery({ queryKey: ['round'], queryFn: () => answer(() => api.GET('/api/round')) })

/** The round somebody walks, and those that were finished. */
export const useRounds = () =>
  useQuery({ queryKey: ['rounds'], queryFn: () => answer(() => api.GET('/api/rounds')) })

/** Kits and source waters of the site. */
export const useShelf = () =>
  useQuery({ queryKey: ['shelf'], queryFn: () => answer(() => api.GET('/api/shelf')) })

/** The working of a figure, with some of its input replaced. */
export const useWorking = (
  figure: MaybeRefOrGetter<Figure | null>,
  replaced: MaybeRefOrGetter<Record<string, number>>,
) =>
  useQuery({
    queryKey: [
      'working',
      computed(() => toValue(figure)?.calc),
      computed(() => ({ ...toValue(figure)?.input, ...toValue(replaced) })),
    ],
    enabled: computed(() => toValue(figure)?.calc != null),
    queryFn: () =>
      answer<Calculation>(() =>
        api.POST('/api/calc/{name}', {
          params: { path: { name: toValue(figure)?.calc ?? '' } },
          body: { ...toValue(figure)?.input, ...toValue(replaced) },
        }),
      ),
    placeholderData: (previous) => previous,
  })
