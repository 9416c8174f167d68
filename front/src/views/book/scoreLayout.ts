import type { Score } from '@/api/types'

export const STRIP = 70
/** Room above each course for its name. */
const HEAD = 20
export const LEFT = 4
export const AXIS = 22

export interface Lane {
  name: string
  unit: string | null
  top: number
  d: string
  bars: { x: number; y1: number; y2: number }[]
  expected: { x: number; y: number; v: number }[]
  limits: number[]
  high: number
  low: number
  points: Score['strips'][number]['points']
}

export interface Drawing {
  lanes: Lane[]
  ticks: { x: number; label: string }[]
  marks: { x: number; kind: string; text: string }[]
  height: number
  at: (x: number) => number
  x: (t: number) => number
}

const DAY = 86_400

/** Lays strips under one another on one time axis, each with its own scale that holds its limits when they are near. */
export function layOutScore(score: Score, width: number, zone: string): Drawing {
  const span = Math.max(1, score.to - score.from)
  const x = (t: number) => LEFT + ((t - score.from) / span) * (width - 2 * LEFT)
  const lanes = score.strips.map((strip, i): Lane => {
    // What is "at least so much" runs off the top of its strip rather than flattening all the rest.
    const values = strip.points.map((point) => point.v)
    const most = Math.max(...values)
    const least = Math.min(...values)
    const near = [strip.above, strip.below].filter(
      (limit): limit is number =>
        limit !== null && limit > least - (most - least || 1) && limit < most + (most - least || 1),
    )
    const pad = 0.12 * (Math.max(most, ...near) - Math.min(least, ...near) || Math.abs(most) || 1)
    const low = Math.min(least, ...near) - pad
    const high = Math.max(most, ...near) + pad
    const top = i * STRIP
    const y = (v: number) =>
      top + HEAD + (1 - (Math.min(high, Math.max(low, v)) - low) / (high - low)) * (STRIP - HEAD - 6)
    return {
      name: strip.name,
      unit: strip.unit,
      top,
      d: strip.points
        .map((point, n) => `${n ? 'L' : 'M'}${x(point.t).toFixed(1)} ${y(point.v).toFixed(1)}`)
        .join(''),
      bars: strip.points.map((point) => ({ x: x(point.t), y1: y(point.low), y2: y(point.high) })),
      expected: strip.expected.map((point) => ({ x: x(point.t), y: y(point.v), v: point.v })),
      limits: near.map(y),
      high: most,
      low: least,
      points: strip.points,
    }
  })
  return {
    lanes,
    ticks: ticks(score, zone).map((tick) => ({ x: x(tick.t), label: tick.label })),
    marks: score.marks.map((mark) => ({ x: x(mark.t), kind: mark.kind, text: mark.text })),
    height: lanes.length * STRIP + AXIS,
    at: (px) => score.from + ((px - LEFT) / (width - 2 * LEFT)) * span,
    x,
  }
}

function ticks(score: Score, zone: string): { t: number; label: string }[] {
  const span = score.to - score.from
  const step =
    [3600, 3 * 3600, 6 * 3600, DAY, 2 * DAY, 7 * DAY, 14 * DAY, 30.44 * DAY, 91.3 * DAY, 365.25 * DAY].find(
      (size) => span / size <= 9,
    ) ?? 2 * 365.25 * DAY
  const format = new Intl.DateTimeFormat(
    'en-GB',
    step < DAY
      ? { hour: '2-digit', minute: '2-digit', timeZone: zone }
      : step < 300 * DAY
        ? { day: 'numeric', month: 'short', timeZone: zone }
        : { year: 'numeric', timeZone: zone },
  )
  const all = []
  for (let t = Math.ceil(score.from / step) * step; t <= score.to; t += step)
    all.push({ t, label: format.format(t * 1000) })
  return all
}

/** The point of a lane nearest to a time. */
export function nearest(points: Lane['points'], t: number): Lane['points'][number] | undefined {
  return points.reduce<Lane['points'][number] | undefined>(
    (best, point) => (best === undefined || Math.abs(point.t - t) < Math.abs(best.t - t) ? point : best),
    undefined,
  )
}
