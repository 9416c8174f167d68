/** Under this nothing that is kept or dosed is measured, and a row of noughts says less than one. */
const NOTHING = 1e-5

/** A figure as it is read: so many significant digits at most, thousands apart, never an exponent. */
export const figures = (value: number, digits = 3) =>
  new Intl.NumberFormat('en-GB', { maximumSignificantDigits: digits }).format(
    Math.abs(value) < NOTHING ? 0 : value,
  )
