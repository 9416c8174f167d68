import { queryClient } from '@/api/queries'
import type { Session, ShownUnit } from '@/api/types'
import { figures } from './number'

/** How a figure in one of the product’s own units is written for whoever is signed in; nothing where it stays. */
export const shownUnit = (unit: string | null | undefined): ShownUnit | null =>
  (unit && queryClient.getQueryData<Session>(['session'])?.person?.units.shown[unit]) || null

/** The unit as it is written beside a number. */
export const symbolOf = (unit: string | null | undefined) => shownUnit(unit)?.symbol ?? unit ?? undefined

export const valueOf = (value: number, unit: string) => {
  const shown = shownUnit(unit)
  return shown ? value * shown.factor + shown.offset : value
}

/** A number with its unit, as it is read. */
export const quantity = (value: number, unit: string, digits = 3) =>
  `${figures(valueOf(value, unit), digits)} ${symbolOf(unit)}`

/** A volume, a flow or a weight as one says it: whole, unless it is small. */
export const whole = (value: number | null | undefined, unit: string) =>
  value === null || value === undefined ? '–' : `${wholeNumber(value, unit)} ${symbolOf(unit)}`

export const wholeNumber = (value: number, unit: string) => {
  const shown = valueOf(value, unit)
  return Math.abs(shown) < 10
    ? figures(shown, 3)
    : new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 }).format(shown)
}

/** The same for a difference, which has no zero to start from. */
export const differenceOf = (value: number, unit: string) => value * (shownUnit(unit)?.factor ?? 1)
