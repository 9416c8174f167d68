/** The fish of a system and the water they stand in. */
import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api } from '../client'

/** A bag at the door of a system, and the way into its water. */
export const useBag = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['arrivals', computed(() => toValue(slug)), computed(() => toValue(typed))],
    placeholderData: (previous) => previous,
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/arrivals', {
          params: { path: { system: toValue(slug) }, query: toValue(typed) },
        }),
      ),
  })

/** Shipments of a system, with what is said of each bag. */
export const useShipments = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug)), 'shipments'],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/shipments', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** Who is due to be looked at, and what was seen. */
export const useLooks = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug)), 'looks'],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/looks', { params: { path: { system: toValue(slug) } } })),
  })

/** Single fish of a system with their history. */
export const useSingles = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug)), 'singles'],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/singles', { params: { path: { system: toValue(slug) } } })),
  })

/** Fish in some weeks, and two feeds beside one another. */
export const useGrowth = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug)), 'growth', computed(() => toValue(typed))],
    placeholderData: (previous) => previous,
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/growth', {
          params: { path: { system: toValue(slug) }, query: { typed: toValue(typed) } },
        }),
      ),
  })

/** How the quarantine of a system stands. */
export const useQuarantine = (slug: MaybeRefOrGetter<string>, wanted: MaybeRefOrGetter<boolean>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug)), 'quarantine'],
    enabled: computed(() => toValue(wanted)),
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/quarantine', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** Who lives in a system and what they are fed. */
export const useFish = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['fish', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/fish', { params: { path: { system: toValue(slug) } } })),
  })

/** The water beside the water that comes in; what is typed is asked with it. */
export const useWater = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['water', computed(() => toValue(slug)), computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/water', {
          params: { path: { system: toValue(slug) }, query: { typed: toValue(typed) } },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** The dose bench of a system. */
export const useDose = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['dose', computed(() => toValue(slug)), computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/dose', {
          params: { path: { system: toValue(slug) }, query: { typed: toValue(typed) } },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** The water fish would go to beside the one they leave; asked where a place is chosen. */
export const useMove = (from: MaybeRefOrGetter<string>, to: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['move', computed(() => toValue(from)), computed(() => toValue(to))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/fish/move', {
          params: { path: { system: toValue(from) }, query: { to: toValue(to) } },
        }),
      ),
    enabled: computed(() => toValue(to) !== ''),
    retry: false,
  })

/** Courses of a system, and what hangs in its loop. */
export const useCourses = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['courses', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/courses', { params: { path: { system: toValue(slug) } } })),
  })
