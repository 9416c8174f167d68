/** The filter of a system: what it carries, how it grows, its service. */
import { useQueries, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api } from '../client'

/** Service of a system: what is due and what was done. */
export const useService = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['service', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/service', { params: { path: { system: toValue(slug) } } })),
  })

/** A job of the whole system as it would be, with what is typed for it. */
export const useWholeJob = (
  slug: MaybeRefOrGetter<string>,
  job: MaybeRefOrGetter<string>,
  typed: MaybeRefOrGetter<Record<string, string>>,
) =>
  useQuery({
    queryKey: [
      'service',
      computed(() => toValue(slug)),
      'whole',
      computed(() => toValue(job)),
      computed(() => toValue(typed)),
    ],
    placeholderData: (previous) => previous,
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/service/whole/{job}', {
          params: { path: { system: toValue(slug), job: toValue(job) }, query: toValue(typed) },
        }),
      ),
  })

/** Ways to clear green water, and what a lamp that was lit did. */
export const useClearWater = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['service', computed(() => toValue(slug)), 'clear'],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/service/clear', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** One run of it, asked again now and then: somebody else may go on with it. */
export const useServiceRun = (slug: MaybeRefOrGetter<string>, id: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['service', computed(() => toValue(slug)), computed(() => toValue(id))],
    refetchInterval: 20_000,
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/services/{id}', {
          params: { path: { system: toValue(slug), id: toValue(id) } },
        }),
      ),
  })

/** Load against capacity, in the water as it is or with what is typed over it. */
export const useCapacity = (
  slug: MaybeRefOrGetter<string>,
  typed: MaybeRefOrGetter<Record<string, string>>,
) =>
  useQuery({
    queryKey: ['capacity', computed(() => toValue(slug)), computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/capacity', {
          params: { path: { system: toValue(slug) }, query: toValue(typed) },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** What stands behind a capacity: oxygen, dirt, nitrate, measurements, sizing. */
export const useFilter = (slug: MaybeRefOrGetter<string>, typed: MaybeRefOrGetter<Record<string, string>>) =>
  useQuery({
    queryKey: ['filter', computed(() => toValue(slug)), computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/filter', {
          params: { path: { system: toValue(slug) }, query: toValue(typed) },
        }),
      ),
    placeholderData: (previous) => previous,
  })

/** What-ifs of a system that are kept by name. */
export const useWhatIfs = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['what-ifs', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/what-ifs', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** What each of them comes to now. */
export const useReckonedWhatIfs = (slug: MaybeRefOrGetter<string>, ids: MaybeRefOrGetter<string[]>) =>
  useQueries({
    queries: computed(() =>
      toValue(ids).map((id) => ({
        queryKey: ['what-ifs', toValue(slug), id],
        queryFn: () =>
          answer(() =>
            api.GET('/api/systems/{system}/what-ifs/{id}', {
              params: { path: { system: toValue(slug), id } },
            }),
          ),
      })),
    ),
  })

/** Where a start stands, with what is typed over what stands there. */
export const useMaturing = (
  slug: MaybeRefOrGetter<string>,
  typed: MaybeRefOrGetter<Record<string, string>>,
) =>
  useQuery({
    queryKey: ['maturing', computed(() => toValue(slug)), computed(() => toValue(typed))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/maturing', {
          params: { path: { system: toValue(slug) }, query: toValue(typed) },
        }),
      ),
    placeholderData: (previous) => previous,
    retry: false,
  })
