/** Where one goes in a system: five groups and the book, by what one wants. The one list of names and keys. */
export interface Page {
  name: string
  label: string
  /** The letter after `g`. */
  key: string
}

export interface Group {
  label: string
  pages: readonly [Page, ...Page[]]
}

export const GROUPS: readonly Group[] = [
  {
    label: 'Now',
    pages: [
      { name: 'system', label: 'System', key: 's' },
      { name: 'test', label: 'Test', key: 't' },
      { name: 'look', label: 'Look at fish', key: 'y' },
      { name: 'trouble', label: 'Trouble', key: 'a' },
    ],
  },
  {
    label: 'Water',
    pages: [
      { name: 'water', label: 'Change', key: 'w' },
      { name: 'trickle', label: 'Trickle', key: 'i' },
      { name: 'make-water', label: 'Make water', key: 'n' },
      { name: 'buffer', label: 'KH, GH, pH', key: 'h' },
    ],
  },
  {
    label: 'Filter',
    pages: [
      { name: 'capacity', label: 'Capacity', key: 'c' },
      { name: 'maturing', label: 'Maturing', key: 'm' },
      { name: 'service', label: 'Service', key: 'v' },
    ],
  },
  {
    label: 'Fish',
    pages: [
      { name: 'fish', label: 'Fish and feed', key: 'f' },
      { name: 'arrivals', label: 'Arrivals', key: 'o' },
      { name: 'dose', label: 'Dose', key: 'd' },
      { name: 'course', label: 'Course', key: 'k' },
    ],
  },
  {
    label: 'Place',
    pages: [
      { name: 'plumbing', label: 'Plumbing', key: 'p' },
      { name: 'build', label: 'Build', key: 'u' },
      { name: 'limits', label: 'Limits and schools', key: 'l' },
    ],
  },
  { label: 'Book', pages: [{ name: 'book', label: 'Book', key: 'b' }] },
]

/** Pages that are opened from a page and stand under it, without a letter of their own. */
export const UNDER: Readonly<Record<string, string>> = {
  'service-run': 'service',
  incident: 'trouble',
  card: 'trouble',
  'service-whole': 'service',
  'clear-water': 'service',
  year: 'service',
}

/** The page of the list that a route shows or stands under. */
export const pageOf = (name: unknown): string => UNDER[String(name)] ?? String(name)

export const groupOf = (name: unknown): Group | undefined =>
  GROUPS.find((group) => group.pages.some((page) => page.name === pageOf(name)))

export const labelOf = (name: unknown): string | undefined =>
  GROUPS.flatMap((group) => group.pages).find((page) => page.name === name)?.label

/** The same page of another system; its first page from where no system is open. */
export const samePage = (name: unknown, system: string) => ({
  name: groupOf(name) ? pageOf(name) : 'system',
  params: { system },
})
