import { QueryClient, useQueries, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { answer, api, Refusal } from './client'
import type { Calculation, Figure } from './types'

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

export const useSystem = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['system', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}', { params: { path: { system: toValue(slug) } } })),
  })

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

/** Survival and losses of the site. */
export const useLosses = () =>
  useQuery({ queryKey: ['fish', 'losses'], queryFn: () => answer(() => api.GET('/api/losses')) })

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

/** The year of a system: its water, feed and jobs by month and season. */
export const useYear = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['service', computed(() => toValue(slug)), 'year'],
    queryFn: () =>
      answer(() =>
        api.GET('/api/systems/{system}/service/year', { params: { path: { system: toValue(slug) } } }),
      ),
  })

/** Where the site lies, and what power costs there. */
export const usePlace = () =>
  useQuery({ queryKey: ['place'], queryFn: () => answer(() => api.GET('/api/site')) })

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

/** Where a start stands, with what is typed over what stands there. */
/** What runs in a system, and what stands. */
export const useRunning = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['running', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/running', { params: { path: { system: toValue(slug) } } })),
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

/** Courses of a system, and what hangs in its loop. */
export const useCourses = (slug: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['courses', computed(() => toValue(slug))],
    queryFn: () =>
      answer(() => api.GET('/api/systems/{system}/courses', { params: { path: { system: toValue(slug) } } })),
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

/** Kits and source waters of the site. */
export const useShelf = () =>
  useQuery({ queryKey: ['shelf'], queryFn: () => answer(() => api.GET('/api/shelf')) })

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

/** Everything that a booking or a change of the build can have changed. */
export async function refreshSystem(slug: string): Promise<void> {
  await Promise.all([
    queryClient.invalidateQueries({ queryKey: ['systems'] }),
    queryClient.invalidateQueries({ queryKey: ['round'] }),
    queryClient.invalidateQueries({ queryKey: ['rounds'] }),
    queryClient.invalidateQueries({ queryKey: ['trial', slug] }),
    queryClient.invalidateQueries({ queryKey: ['maturing', slug] }),
    queryClient.invalidateQueries({ queryKey: ['trouble', slug] }),
    queryClient.invalidateQueries({ queryKey: ['system', slug] }),
    queryClient.invalidateQueries({ queryKey: ['capacity', slug] }),
    queryClient.invalidateQueries({ queryKey: ['plumbing', slug] }),
    queryClient.invalidateQueries({ queryKey: ['calendar'] }),
    queryClient.invalidateQueries({ queryKey: ['variants'] }),
    queryClient.invalidateQueries({ queryKey: ['service', slug] }),
    queryClient.invalidateQueries({ queryKey: ['volumes', slug] }),
    queryClient.invalidateQueries({ queryKey: ['fish'] }),
    queryClient.invalidateQueries({ queryKey: ['book', slug] }),
    queryClient.invalidateQueries({ queryKey: ['limits'] }),
    queryClient.invalidateQueries({ queryKey: ['running', slug] }),
    queryClient.invalidateQueries({ queryKey: ['timers'] }),
    queryClient.invalidateQueries({ queryKey: ['shelf'] }),
    queryClient.invalidateQueries({ queryKey: ['score', slug] }),
    queryClient.invalidateQueries({ queryKey: ['filter', slug] }),
    queryClient.invalidateQueries({ queryKey: ['water', slug] }),
    queryClient.invalidateQueries({ queryKey: ['bench', slug] }),
    queryClient.invalidateQueries({ queryKey: ['dose', slug] }),
    queryClient.invalidateQueries({ queryKey: ['courses', slug] }),
    queryClient.invalidateQueries({ queryKey: ['what-ifs', slug] }),
  ])
}
