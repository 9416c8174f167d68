import type { System } from '@/api/types'

type Build = System['build']
type Vessel = Build['vessels'][number]

export interface Mark {
  key: string
  kind: 'intake' | 'return' | 'circulator'
  title: string
  x: number
  y: number
  /** An arrow the way it blows. */
  d: string
  /** A circulator of which it is said that nothing keeps fish off it. */
  bare: boolean
}

export interface Plan {
  width: number
  height: number
  outline: string
  marks: Mark[]
  /** The part of it that the water does not reach. */
  still: { x: number; width: number } | null
  says: string
}

const LONGEST = 220
const TALLEST = 130
const ARROW = 26
const AT = { one_end: 0.1, middle: 0.5, far_end: 0.9 }
const SAID = { one_end: 'at one end', middle: 'in the middle', far_end: 'at the other end' }

const number = (value: unknown) => (typeof value === 'number' ? value : 0)

/** Its outline from above, to scale, its length from left to right: one end is on the left. */
function outlineOf(vessel: Vessel): { width: number; height: number; d: string } {
  const m = vessel.measures as Record<string, unknown>
  const across = number(m.diameter_m) || number(m.top_diameter_m) || number(m.across_flats_m)
  const length = number(m.length_m) || across || 2
  const [one, other] = [number(m.width_a_m), number(m.width_b_m)]
  const width = Math.max(one, other) || number(m.width_m) || across || 1
  const scale = Math.min(LONGEST / length, TALLEST / width)
  const [w, h] = [length * scale, width * scale]
  if (one && other) {
    const [left, right] = [one * scale, other * scale]
    return {
      width: w,
      height: h,
      d: `M0 ${(h - left) / 2}L${w} ${(h - right) / 2}V${(h + right) / 2}L0 ${(h + left) / 2}Z`,
    }
  }
  if (vessel.shape === 'octagon') {
    const cut = w / (2 + Math.SQRT2)
    return {
      width: w,
      height: h,
      d: `M${cut} 0H${w - cut}L${w} ${cut}V${h - cut}L${w - cut} ${h}H${cut}L0 ${h - cut}V${cut}Z`,
    }
  }
  const round = ['cylinder', 'ellipse', 'cone_frustum', 'dished_cylinder', 'coned_cylinder', 'sections']
  return round.includes(vessel.shape)
    ? {
        width: w,
        height: h,
        d: `M0 ${h / 2}A${w / 2} ${h / 2} 0 1 1 ${w} ${h / 2}A${w / 2} ${h / 2} 0 1 1 0 ${h / 2}Z`,
      }
    : { width: w, height: h, d: `M0 0H${w}V${h}H0Z` }
}

/** An arrow from a mark: along the vessel away from the nearer end, or across it. */
function arrow(x: number, y: number, width: number, aim: string | null): string {
  if (aim === 'across') return `M${x} ${y}v${ARROW}m-5 -6l5 6l5 -6`
  const way = x > width / 2 ? -1 : 1
  return aim === 'along'
    ? `M${x} ${y}h${way * ARROW}m${-way * 6} -5l${way * 6} 5l${-way * 6} 5`
    : `M${x - 5} ${y - 5}l10 10m0 -10l-10 10`
}

/** Where the water of a vessel goes in and out, as far as its lines and circulators say. */
export function planOf(vessel: Vessel, build: Build, stagnant: 'one_end' | 'far_end' | null): Plan {
  const { width, height, d: outline } = outlineOf(vessel)
  const place = `vessel:${vessel.id}`
  const marks: Mark[] = []
  const taken = new Map<string, number>()
  const put = (
    kind: Mark['kind'],
    part: { id: string; name: string; spot: keyof typeof AT | null; aim: string | null },
    bare = false,
  ) => {
    if (part.spot === null) return
    // What stands at one spot stands side by side across the vessel.
    const nth = taken.get(part.spot) ?? 0
    taken.set(part.spot, nth + 1)
    const x = AT[part.spot] * width
    const y = (height * (1 + (nth % 2 ? 1 : -1) * 0.36 * Math.ceil(nth / 2))) / 2
    const blows = part.aim === null ? '' : `, blows ${part.aim} it`
    const guard = bare ? ', without a guard' : ''
    marks.push({
      key: part.id,
      kind,
      title: `${part.name} ${SAID[part.spot]}${blows}${guard}`,
      x,
      y,
      d: kind === 'intake' ? '' : arrow(x, y, width, part.aim),
      bare,
    })
  }
  for (const line of build.lines) {
    if (line.from === place) put('intake', line)
    if (line.to === place) put('return', line)
  }
  for (const pump of build.pumps)
    if (pump.kind === 'circulator' && pump.vessel_id === vessel.id)
      put('circulator', pump, pump.guarded === false)
  const still = { x: stagnant === 'one_end' ? 0 : width * 0.62, width: width * 0.38 }
  return {
    width,
    height,
    outline,
    marks,
    still: stagnant === null ? null : still,
    says: [`${vessel.name} from above`, ...marks.map((mark) => mark.title)].join('. '),
  }
}
