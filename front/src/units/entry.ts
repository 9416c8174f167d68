import { shownUnit } from './chosen'

/**
 * What is typed into a field with a unit, and what is sent for it. A bare number is always in the product's own unit,
 * whoever sent it; a number typed by a person who reads in another unit is sent with that unit behind it.
 */
const BARE = /^[-−]?(?:\d[\d., ]*|[.,]\d+)$/

/** Numbers from forms and answers: a comma between groups of three is no decimal point. */
const read = (text: string) =>
  Number(
    text
      .replace('−', '-')
      .replace(/,(?=\d{3}(?:\D|$))/g, '')
      .replace(',', '.'),
  )

export const shownText = (text: string, unit: string | null | undefined) => {
  const shown = shownUnit(unit)
  if (!shown) return text
  if (text.endsWith(` ${shown.symbol}`)) return text.slice(0, -shown.symbol.length - 1)
  const value = BARE.test(text.trim()) ? read(text.trim()) : NaN
  return Number.isFinite(value) ? String(Number((value * shown.factor + shown.offset).toPrecision(4))) : text
}

export const sentText = (typed: string, unit: string | null | undefined) => {
  const shown = shownUnit(unit)
  return shown && BARE.test(typed.trim()) ? `${typed} ${shown.symbol}` : typed
}
