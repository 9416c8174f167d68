import { computed } from 'vue'
import { useTrouble } from '@/api/queries'
import type { Trouble } from '@/api/types'

export type Step = Trouble['causes'][number]['steps'][number]

/** What the readings of today ask for on some pages: the same steps as on Trouble, in the same order. */
export function useToday(slug: () => string, pages: readonly string[]) {
  const trouble = useTrouble(slug, '')
  const causes = computed(() => trouble.data.value?.causes ?? [])
  return {
    ready: computed(() => trouble.data.value !== undefined),
    /** Why it is not known: until it is, nobody may be told that nothing is due. */
    fault: computed(() =>
      trouble.data.value === undefined && trouble.error.value
        ? `What the readings ask for could not be worked out. ${trouble.error.value.message}`
        : null,
    ),
    /** What the readings say is wrong, if anything. */
    causes: computed(() => causes.value.map((cause) => cause.name)),
    steps: computed<Step[]>(() =>
      causes.value.flatMap((cause) => cause.steps).filter((step) => step.page && pages.includes(step.page)),
    ),
    watched: computed(() => trouble.data.value?.watched ?? []),
    tests: computed(() => trouble.data.value?.tests ?? []),
    old: computed(() => trouble.data.value?.old ?? []),
  }
}
