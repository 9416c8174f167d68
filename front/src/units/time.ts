import { queryClient } from '@/api/queries'
import type { Session } from '@/api/types'

/** Times are shown in the site's own zone, wherever the reader is. */
const zone = () => queryClient.getQueryData<Session>(['session'])?.person?.site.timezone ?? 'UTC'

const format = (iso: string, options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat('en-GB', { ...options, timeZone: zone() }).format(new Date(iso))

export const date = (iso: string) =>
  format(iso, { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' })

export const clock = (iso: string) =>
  format(iso, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

/** A day of the calendar that is no moment: when something goes off, when a test was done. */
export const day = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(iso))
