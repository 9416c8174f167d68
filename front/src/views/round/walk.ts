/** A list with the one at `from` standing at `to`; the others keep their order. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const rest = list.filter((_, i) => i !== from)
  const one = list[from]
  return one === undefined ? [...list] : [...rest.slice(0, to), one, ...rest.slice(to)]
}
