import { shallowRef } from 'vue'

/** The last booking made here, which the foot offers to undo. */
export interface Booked {
  visit: string
  system: string
  slug: string
  count: number
  /** What a line of the log bar booked besides readings, in words. */
  besides?: string[]
}

export const lastBooked = shallowRef<Booked | null>(null)
