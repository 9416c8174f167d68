/** The outline of a koi, drawn for this page, head to the left, in a field of 300 × 110. */
export const FIELD = { width: 300, height: 110 }

export type View = 'above' | 'side'

export interface Mark {
  sign: string
  view: View
  x: number
  y: number
}

interface Drawing {
  name: string
  body: string
  /** Fins, gill covers, mouth: thin lines. */
  lines: readonly string[]
}

export const DRAWINGS: Readonly<Record<View, Drawing>> = {
  above: {
    name: 'From above',
    body:
      'M22 55 C26 42 52 34 84 34 C128 34 186 45 232 51 C250 46 266 41 284 36 C276 46 274 50 273 55 ' +
      'C274 60 276 64 284 74 C266 69 250 64 232 59 C186 65 128 76 84 76 C52 76 26 68 22 55 Z',
    lines: [
      'M72 35 C70 46 70 64 72 75',
      'M80 34 C84 18 100 8 118 9 C114 20 104 29 94 34',
      'M80 76 C84 92 100 102 118 101 C114 90 104 81 94 76',
      'M156 42 C162 33 172 30 182 33 C178 38 172 43 166 44',
      'M156 68 C162 77 172 80 182 77 C178 72 172 67 166 66',
      'M108 55 C140 52 176 53 206 55',
      'M24 51 C18 47 15 43 13 38',
      'M24 59 C18 63 15 67 13 72',
      'M40 44 a2 2 0 1 0 4 0 a2 2 0 1 0 -4 0',
      'M40 66 a2 2 0 1 0 4 0 a2 2 0 1 0 -4 0',
    ],
  },
  side: {
    name: 'From the side',
    body:
      'M20 60 C30 42 66 27 112 26 C166 25 212 42 238 52 C254 44 268 31 284 20 C279 40 278 52 279 60 ' +
      'C278 68 280 80 286 96 C268 87 254 74 238 66 C206 80 162 91 116 89 C68 87 32 76 20 60 Z',
    lines: [
      'M70 33 C80 46 80 72 70 84',
      'M96 27 C106 10 134 6 160 14 C172 19 184 28 190 35',
      'M82 68 C92 84 108 90 120 86 C112 76 98 69 82 68',
      'M132 89 C138 101 150 104 160 100 C156 94 150 89 146 88',
      'M188 80 C196 92 208 94 214 88 C210 80 206 76 202 74',
      'M82 57 C130 54 190 57 236 59',
      'M42 50 a4 4 0 1 0 8 0 a4 4 0 1 0 -8 0',
      'M22 62 C30 66 36 67 42 66',
      'M24 63 C22 68 22 71 24 75',
    ],
  },
}

/** For whom a place is easier chosen from a list than touched. */
export const PLACES: readonly { name: string; view: View; x: number; y: number }[] = [
  { name: 'mouth', view: 'side', x: 0.08, y: 0.55 },
  { name: 'eye', view: 'side', x: 0.15, y: 0.45 },
  { name: 'gill cover', view: 'side', x: 0.25, y: 0.53 },
  { name: 'flank', view: 'side', x: 0.47, y: 0.53 },
  { name: 'belly', view: 'side', x: 0.45, y: 0.75 },
  { name: 'tail', view: 'side', x: 0.9, y: 0.53 },
  { name: 'back', view: 'above', x: 0.45, y: 0.5 },
  { name: 'head', view: 'above', x: 0.16, y: 0.5 },
  { name: 'left pectoral fin', view: 'above', x: 0.34, y: 0.82 },
  { name: 'right pectoral fin', view: 'above', x: 0.34, y: 0.18 },
]

/** Where on the drawing somebody pressed, as shares of its width and height, held inside. */
export function place(
  box: { left: number; top: number; width: number; height: number },
  at: { x: number; y: number },
) {
  const share = (value: number) => Math.round(1000 * Math.min(1, Math.max(0, value))) / 1000
  return { x: share((at.x - box.left) / box.width), y: share((at.y - box.top) / box.height) }
}
