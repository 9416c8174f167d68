/** How a system is built: volumes, flows, what is planned. */
import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api } from '../client'

/** The volume of a system every way it was found. */
export const useVolumes = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['volumes', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/volumes', { params: { path: { system: toValue(slug) } } })),
  })

/** The flows of a system as built. */
export const usePlumbing = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['plumbing', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/plumbing', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** The build that stands and those that are planned beside it. */
export const useVariants = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['variants', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/variants', { params: { path: { system: toValue(slug) } } }),
      ),
  })
