import type { System } from '@/api/types'

/** What is taken for granted of how grown a filter is; null where its history tells. */
export const assumedGrown = (capacity: System['capacity']): string | null =>
  capacity.capacity?.origins.find((origin) => origin.key === 'maturity_pct' && origin.kind === 'assumed')
    ?.from ?? null
