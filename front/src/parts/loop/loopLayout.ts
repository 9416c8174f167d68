import type { Plumbing } from '@/api/types'

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

const STEP = 132
const GAP = 18
export const BOX = { width: 92, height: 34 }
export const LAYER = 16
const LANE = 9
const DOT = 12
const NARROW = 52
const MARGIN = 8

const key = (place: { kind: string; id: string }) => `${place.kind}:${place.id}`

type Joined = Pick<Plumbing['lines'][number], 'id' | 'name' | 'from' | 'to' | 'flow_l_h' | 'valve_open_pct'>

/** Stages with a chamber of their own; what lies in one is drawn in it. */
const chambers = (plumbing: Plumbing) => plumbing.stages.filter((stage) => stage.chamber_id === null)

/** What stands inside a vessel needs no line to take its water or to give it back. */
function joins(plumbing: Plumbing, pumps: Plumbing['pumps']): Joined[] {
  const fed = new Set(plumbing.lines.map((line) => key(line.to)))
  const emptied = new Set(
    plumbing.lines.filter((line) => line.to.kind !== 'outside').map((line) => key(line.from)),
  )
  const inside = [
    ...chambers(plumbing).map((stage) => ({ ...stage, place: { kind: 'stage' as const, id: stage.id } })),
    ...pumps.map((pump) => ({ ...pump, place: { kind: 'pump' as const, id: pump.id } })),
  ]
  return inside.flatMap((part): Joined[] => {
    if (part.vessel_id === null) return []
    const vessel = { kind: 'vessel' as const, id: part.vessel_id }
    const base = { flow_l_h: part.flow_l_h, valve_open_pct: null }
    return [
      ...(fed.has(key(part.place))
        ? []
        : [{ ...base, id: `into ${part.id}`, name: `into ${part.name}`, from: vessel, to: part.place }]),
      ...(emptied.has(key(part.place))
        ? []
        : [{ ...base, id: `out of ${part.id}`, name: `out of ${part.name}`, from: part.place, to: vessel }]),
    ]
  })
}

/** How far up each part should stand in its column: by what feeds it, so that lines forward do not cross. */
function order(forward: Joined[], column: Map<string, number>): Map<string, number> {
  const at = new Map<string, number>()
  const columns = [...new Set(column.values())].sort((a, b) => a - b)
  for (const one of columns) {
    const parts = [...column].filter(([, in_]) => in_ === one).map(([part]) => part)
    const wanted = (part: string, listed: number) => {
      const feeding = forward
        .filter((line) => key(line.to) === part)
        .map((line) => at.get(key(line.from)) ?? 0)
      return feeding.length && one > 0 ? feeding.reduce((a, b) => a + b, 0) / feeding.length : listed
    }
    parts
      .map((part, listed) => ({ part, listed, wanted: wanted(part, listed) }))
      .sort((a, b) => a.wanted - b.wanted || a.listed - b.listed)
      .forEach(({ part }, row) => at.set(part, row))
  }
  return at
}

/**
 * Lays a loop out in flow order: vessels first, each further part one column past the last that feeds
 * it, parts of one column under one another, and what returns to the vessels led back underneath and in from
 * the left, one lane within the other so that none crosses another.
 */
export function layOut(plumbing: Plumbing): Drawing {
  const waterPumps = plumbing.pumps.filter((pump) => pump.kind === 'water' || pump.kind === 'airlift')
  const vessels = plumbing.vessels.map((vessel) => `vessel:${vessel.id}`)
  const parts = [
    ...chambers(plumbing).map((stage) => `stage:${stage.id}`),
    ...waterPumps.map((pump) => `pump:${pump.id}`),
    ...plumbing.junctions.map((junction) => `junction:${junction.id}`),
  ]
  const lines = [...plumbing.lines, ...joins(plumbing, waterPumps)]
  // What falls from one vessel to another goes forward too; what comes back from the filter does not.
  const forward = lines.filter(
    (line) => line.to.kind !== 'outside' && (line.to.kind !== 'vessel' || line.from.kind === 'vessel'),
  )
  const column = new Map<string, number>([...vessels, ...parts].map((part) => [part, 0]))

  // Without lines the stages stand as they are listed; with them, longest way from the vessels decides.
  if (forward.length === 0) parts.forEach((part, i) => column.set(part, i + 1))
  const most = parts.length + vessels.length - 1
  for (let round = 0; round < most; round++) {
    for (const line of forward) {
      const reached = (column.get(key(line.from)) ?? 0) + 1
      if (reached > (column.get(key(line.to)) ?? 0) && reached <= most) column.set(key(line.to), reached)
    }
  }

  // A column in which lines only meet is a narrow one.
  const wide = new Set([...column].filter(([part]) => !part.startsWith('junction:')).map(([, at]) => at))
  const last = Math.max(0, ...column.values())
  const returning = lines.filter(
    (line) =>
      line.to.kind !== 'outside' &&
      column.has(key(line.from)) &&
      (column.get(key(line.from)) ?? 0) >= (column.get(key(line.to)) ?? 0),
  )
  const left: number[] = [MARGIN + (returning.length ? LANE * returning.length + 6 : 0)]
  for (let at = 0; at < last; at++) left.push((left[at] ?? 0) + (wide.has(at) ? STEP : NARROW))
  const bottoms = new Map<number, number>()
  const largest = Math.max(1, ...plumbing.vessels.map((vessel) => vessel.volume_l))
  const boxes = new Map<string, Box>()
  const place = (
    part: string,
    name: string,
    kind: Box['kind'],
    off: boolean,
    width: number,
    bypassed = false,
    layers: string[] = [],
  ) => {
    const at = column.get(part) ?? 0
    const top = bottoms.get(at) ?? MARGIN
    const height = BOX.height + LAYER * layers.length
    bottoms.set(at, top + height + GAP)
    boxes.set(part, {
      key: part,
      name,
      kind,
      x: left[at] ?? MARGIN,
      y: top + (kind === 'junction' ? (BOX.height - DOT) / 2 : 0),
      width,
      height: kind === 'junction' ? DOT : height,
      off,
      bypassed,
      layers,
    })
  }
  for (const vessel of plumbing.vessels)
    place(
      `vessel:${vessel.id}`,
      vessel.name,
      'vessel',
      vessel.shut_off,
      Math.max(56, BOX.width * Math.sqrt(vessel.volume_l / largest)),
    )
  const above = order(forward, column)
  for (const stage of [...chambers(plumbing)].sort(
    (a, b) => (above.get(`stage:${a.id}`) ?? 0) - (above.get(`stage:${b.id}`) ?? 0),
  ))
    place(
      `stage:${stage.id}`,
      stage.name,
      'stage',
      plumbing.flow_l_h !== null && (stage.flow_l_h ?? 0) < 1,
      BOX.width,
      stage.bypassed,
      plumbing.stages
        .filter((layer) => layer.chamber_id === stage.id)
        .map((layer) => layer.name)
        .reverse(),
    )
  for (const pump of [...waterPumps].sort(
    (a, b) => (above.get(`pump:${a.id}`) ?? 0) - (above.get(`pump:${b.id}`) ?? 0),
  ))
    place(`pump:${pump.id}`, pump.name, 'pump', !pump.running, BOX.width)
  for (const junction of plumbing.junctions)
    place(`junction:${junction.id}`, junction.name, 'junction', false, DOT)
  // It stands at the height of what it collects, or feeds.
  for (const junction of plumbing.junctions) {
    const part = `junction:${junction.id}`
    const joined = lines
      .flatMap((line) =>
        key(line.from) === part ? [key(line.to)] : key(line.to) === part ? [key(line.from)] : [],
      )
      .flatMap((end) => boxes.get(end) ?? [])
      .filter((box) => box.kind !== 'junction')
    const dot = boxes.get(part)
    const forwards = joined.filter(
      (box) => box.x < (dot?.x ?? 0) && (column.get(box.key) ?? 0) + 1 === column.get(part),
    )
    if (dot && forwards.length)
      dot.y = forwards.reduce((sum, box) => sum + box.y + box.height / 2, 0) / forwards.length - DOT / 2
  }

  const strongest = Math.max(1, ...lines.map((line) => Math.abs(line.flow_l_h ?? 0)))
  const floor = Math.max(MARGIN + BOX.height + GAP, ...bottoms.values())
  // The return to the topmost vessel runs outermost.
  const lanes = new Map(
    [...returning]
      .sort((a, b) => (boxes.get(key(a.to))?.y ?? 0) - (boxes.get(key(b.to))?.y ?? 0))
      .map((line, lane) => [line.id, lane]),
  )
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
    const [x1, y1] = [from.x + from.width, from.y + from.height / 2]
    if (!to) return [{ ...base, back: false, d: `M${from.x + from.width / 2} ${from.y + from.height}v12` }]
    const [x2, y2] = [to.x, to.y + to.height / 2]
    if (!lanes.has(line.id)) {
      // Lines between the same two parts run side by side.
      const pair = `${key(line.from)} ${key(line.to)}`
      const twin = twins.get(pair) ?? 0
      twins.set(pair, twin + 1)
      const aside = twin === 0 ? 0 : 9 * Math.ceil(twin / 2) * (twin % 2 === 1 ? 1 : -1)
      const middle = (x1 + x2) / 2
      return [
        {
          ...base,
          back: false,
          d: `M${x1} ${y1 + aside}C${middle} ${y1 + aside} ${middle} ${y2 + aside} ${x2} ${y2 + aside}`,
        },
      ]
    }
    const lane = lanes.get(line.id) ?? 0
    const under = floor + 4 + LANE * (lanes.size - 1 - lane)
    const beside = to.kind === 'vessel' ? MARGIN + LANE * lane : to.x - 8
    // What comes to one vessel by several returns comes in side by side.
    const side = sides.get(to.key) ?? 0
    sides.set(to.key, side + 1)
    const into = Math.min(to.y + to.height - 4, to.y + 8 + LANE * side)
    return [{ ...base, back: true, d: `M${x1} ${y1}h10V${under}H${beside}V${into}H${to.x}` }]
  })

  return {
    boxes: [...boxes.values()],
    runs,
    width: (left[last] ?? MARGIN) + (wide.has(last) ? BOX.width : DOT) + 30,
    height: floor + 10 + LANE * lanes.size,
  }
}
