import type { Plumbing } from '@/api/types'
import { chambers, columnsOf, key } from './loopColumns'

export interface Box {
  key: string
  name: string
  kind: 'vessel' | 'stage' | 'pump' | 'junction'
  x: number
  y: number
  width: number
  height: number
  off: boolean
  bypassed: boolean
  /** What lies in it over one another, from the top down. */
  layers: string[]
}

export interface Run {
  id: string
  name: string
  d: string
  width: number
  shut: boolean
  back: boolean
}

export interface Drawing {
  boxes: Box[]
  runs: Run[]
  width: number
  height: number
}

export const BOX = { width: 92, height: 34 }
export const LAYER = 16
const LANE = 9
const DOT = 12
const MARGIN = 8
/** From column to column, past one where lines only meet, and between the parts of one column. */
const ACROSS = { step: 40, meets: 40, gap: 18 }
const DOWN = { step: 30, meets: 26, gap: 10 }

/**
 * Lays a loop out in flow order, parts of one column under one another, and what returns to the vessels led back
 * underneath and in from the left, one lane within the other so that none crosses another.
 *
 * From left to right; or, on a narrow page, from the top down, each column a row.
 */
export function layOut(plumbing: Plumbing, room?: number): Drawing {
  const { lines, pumps, column, above, returning } = columnsOf(plumbing)
  const down = room !== undefined
  const space = down ? DOWN : ACROSS
  const lead = MARGIN + (returning.length ? LANE * returning.length + 6 : 0)
  const counts = new Map<number, number>()
  for (const [part, at] of column)
    if (!part.startsWith('junction:')) counts.set(at, (counts.get(at) ?? 0) + 1)
  // On a narrow page each is as wide as its row leaves room for.
  const widthIn = (at: number) =>
    down
      ? Math.max(48, Math.min(BOX.width, (room - lead - MARGIN) / (counts.get(at) ?? 1) - space.gap))
      : BOX.width
  const layersOf = (id: string) =>
    plumbing.stages
      .filter((layer) => layer.chamber_id === id)
      .map((layer) => layer.name)
      .reverse()
  const largest = Math.max(1, ...plumbing.vessels.map((vessel) => vessel.volume_l))
  const last = Math.max(0, ...column.values())

  // How long each column is in the way of the flow, and so where the next begins.
  const deepest = (at: number) =>
    Math.max(
      BOX.height,
      ...chambers(plumbing)
        .filter((stage) => column.get(`stage:${stage.id}`) === at)
        .map((stage) => BOX.height + LAYER * layersOf(stage.id).length),
    )
  const begins: number[] = [lead]
  for (let at = 0; at < last; at++) {
    const long = down ? deepest(at) : BOX.width
    begins.push(
      (begins[at] ?? 0) + (counts.has(at) ? long + space.step : down ? space.meets : DOT + space.meets),
    )
  }

  const ends = new Map<number, number>()
  const boxes = new Map<string, Box>()
  const place = (part: string, name: string, kind: Box['kind'], size: number, more: Partial<Box> = {}) => {
    const at = column.get(part) ?? 0
    const layers = more.layers ?? []
    const dot = kind === 'junction'
    const height = dot ? DOT : BOX.height + LAYER * layers.length
    const beside = ends.get(at) ?? MARGIN
    const along = begins[at] ?? lead
    ends.set(at, beside + (down ? size : dot ? BOX.height : height) + space.gap)
    const middle = dot && !down ? (BOX.height - DOT) / 2 : 0
    boxes.set(part, {
      key: part,
      name,
      kind,
      x: down ? beside : along,
      y: down ? along : beside + middle,
      width: size,
      height,
      off: false,
      bypassed: false,
      layers,
      ...more,
    })
  }
  const byPlace = <Part extends { id: string }>(kind: string, parts: Part[]) =>
    [...parts].sort((a, b) => (above.get(`${kind}:${a.id}`) ?? 0) - (above.get(`${kind}:${b.id}`) ?? 0))
  for (const vessel of plumbing.vessels) {
    const width = widthIn(column.get(`vessel:${vessel.id}`) ?? 0)
    const size = Math.max(Math.min(56, width), width * Math.sqrt(vessel.volume_l / largest))
    place(`vessel:${vessel.id}`, vessel.name, 'vessel', size, { off: vessel.shut_off })
  }
  for (const stage of byPlace('stage', chambers(plumbing)))
    place(`stage:${stage.id}`, stage.name, 'stage', widthIn(column.get(`stage:${stage.id}`) ?? 0), {
      off: plumbing.flow_l_h !== null && (stage.flow_l_h ?? 0) < 1,
      bypassed: stage.bypassed,
      layers: layersOf(stage.id),
    })
  for (const pump of byPlace('pump', pumps))
    place(`pump:${pump.id}`, pump.name, 'pump', widthIn(column.get(`pump:${pump.id}`) ?? 0), {
      off: !pump.running,
    })
  for (const junction of plumbing.junctions) place(`junction:${junction.id}`, junction.name, 'junction', DOT)

  /** Middle of a box across the flow. */
  const middleOf = (box: Box) => (down ? box.x + box.width / 2 : box.y + box.height / 2)
  // A junction stands at the height of what it collects, or feeds.
  for (const junction of plumbing.junctions) {
    const part = `junction:${junction.id}`
    const dot = boxes.get(part)
    const before = lines
      .flatMap((line) =>
        key(line.to) === part ? [key(line.from)] : key(line.from) === part ? [key(line.to)] : [],
      )
      .flatMap((end) => boxes.get(end) ?? [])
      .filter((box) => box.kind !== 'junction' && (column.get(box.key) ?? 0) + 1 === column.get(part))
    if (!dot || before.length === 0) continue
    const at = before.reduce((sum, box) => sum + middleOf(box), 0) / before.length - DOT / 2
    if (down) dot.x = at
    else dot.y = at
  }

  const strongest = Math.max(1, ...lines.map((line) => Math.abs(line.flow_l_h ?? 0)))
  const floor = Math.max(MARGIN + (down ? BOX.width : BOX.height) + space.gap, ...ends.values())
  // The return to the first vessel runs outermost.
  const lanes = new Map(
    [...returning]
      .sort((a, b) => {
        const at = (end: typeof a) => boxes.get(key(end.to))
        return down ? (at(a)?.x ?? 0) - (at(b)?.x ?? 0) : (at(a)?.y ?? 0) - (at(b)?.y ?? 0)
      })
      .map((line, lane) => [line.id, lane]),
  )
  const point = (along: number, beside: number) => (down ? `${beside} ${along}` : `${along} ${beside}`)
  const sides = new Map<string, number>()
  const twins = new Map<string, number>()
  const runs = lines.flatMap((line): Run[] => {
    const from = boxes.get(key(line.from))
    const to = boxes.get(key(line.to))
    if (!from || (line.to.kind !== 'outside' && !to)) return []
    const base = {
      id: line.id,
      name: line.name,
      width: 1.5 + (5 * Math.abs(line.flow_l_h ?? 0)) / strongest,
      shut: line.valve_open_pct === 0,
    }
    const along = down ? from.y + from.height : from.x + from.width
    const beside = middleOf(from)
    if (!to)
      return [
        {
          ...base,
          back: false,
          d: down
            ? `M${from.x + from.width} ${from.y + from.height / 2}h10`
            : `M${from.x + from.width / 2} ${from.y + from.height}v12`,
        },
      ]
    const enters = down ? to.y : to.x
    const lane = lanes.get(line.id)
    if (lane === undefined) {
      // Lines between the same two parts run side by side.
      const pair = `${key(line.from)} ${key(line.to)}`
      const twin = twins.get(pair) ?? 0
      twins.set(pair, twin + 1)
      const aside = twin === 0 ? 0 : LANE * Math.ceil(twin / 2) * (twin % 2 === 1 ? 1 : -1)
      const half = (along + enters) / 2
      const [y1, y2] = [beside + aside, middleOf(to) + aside]
      return [
        {
          ...base,
          back: false,
          d: `M${point(along, y1)}C${point(half, y1)} ${point(half, y2)} ${point(enters, y2)}`,
        },
      ]
    }
    const under = floor + 4 + LANE * (lanes.size - 1 - lane)
    const before = to.kind === 'vessel' ? MARGIN + LANE * lane : enters - 8
    // What comes to one vessel by several returns comes in side by side.
    const side = sides.get(to.key) ?? 0
    sides.set(to.key, side + 1)
    const [least, most] = down ? [to.x, to.x + to.width] : [to.y, to.y + to.height]
    const into = Math.min(most - 4, least + 8 + LANE * side)
    const stops: [number, number][] = [
      [along, beside],
      [along + 10, beside],
      [along + 10, under],
      [before, under],
      [before, into],
      [enters, into],
    ]
    return [{ ...base, back: true, d: `M${stops.map(([a, b]) => point(a, b)).join('L')}` }]
  })

  const long = (begins[last] ?? MARGIN) + (counts.has(last) ? (down ? deepest(last) : BOX.width) : DOT) + 30
  const high = floor + 10 + LANE * lanes.size
  return { boxes: [...boxes.values()], runs, width: down ? high : long, height: down ? long : high }
}
