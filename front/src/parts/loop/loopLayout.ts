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
const ROW = 52
const BOX = { width: 92, height: 34 }
const DOT = 12
const NARROW = 52
const MARGIN = 8

const key = (place: { kind: string; id: string }) => `${place.kind}:${place.id}`

type Joined = Pick<Plumbing['lines'][number], 'id' | 'name' | 'from' | 'to' | 'flow_l_h' | 'valve_open_pct'>

/** What stands inside a vessel needs no line to take its water or to give it back. */
function joins(plumbing: Plumbing, pumps: Plumbing['pumps']): Joined[] {
  const fed = new Set(plumbing.lines.map((line) => key(line.to)))
  const emptied = new Set(
    plumbing.lines.filter((line) => line.to.kind !== 'outside').map((line) => key(line.from)),
  )
  const inside = [
    ...plumbing.stages.map((stage) => ({ ...stage, place: { kind: 'stage' as const, id: stage.id } })),
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

/**
 * Lays a loop out in flow order: vessels first, each further part one column past the last that feeds
 * it, parts of one column under one another, and what returns to the vessels led back underneath.
 */
export function layOut(plumbing: Plumbing): Drawing {
  const waterPumps = plumbing.pumps.filter((pump) => pump.kind === 'water' || pump.kind === 'airlift')
  const vessels = plumbing.vessels.map((vessel) => `vessel:${vessel.id}`)
  const parts = [
    ...plumbing.stages.map((stage) => `stage:${stage.id}`),
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
  const left: number[] = [MARGIN]
  for (let at = 0; at < last; at++) left.push((left[at] ?? 0) + (wide.has(at) ? STEP : NARROW))
  const rows = new Map<number, number>()
  const largest = Math.max(1, ...plumbing.vessels.map((vessel) => vessel.volume_l))
  const boxes = new Map<string, Box>()
  const place = (
    part: string,
    name: string,
    kind: Box['kind'],
    off: boolean,
    width: number,
    bypassed = false,
  ) => {
    const at = column.get(part) ?? 0
    const row = rows.get(at) ?? 0
    rows.set(at, row + 1)
    boxes.set(part, {
      key: part,
      name,
      kind,
      x: left[at] ?? MARGIN,
      y: MARGIN + row * ROW + (kind === 'junction' ? (BOX.height - DOT) / 2 : 0),
      width,
      height: kind === 'junction' ? DOT : BOX.height,
      off,
      bypassed,
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
  for (const stage of plumbing.stages)
    place(
      `stage:${stage.id}`,
      stage.name,
      'stage',
      plumbing.flow_l_h !== null && (stage.flow_l_h ?? 0) < 1,
      BOX.width,
      stage.bypassed,
    )
  for (const pump of waterPumps) place(`pump:${pump.id}`, pump.name, 'pump', !pump.running, BOX.width)
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

  const deepest = Math.max(1, ...rows.values())
  const strongest = Math.max(1, ...lines.map((line) => Math.abs(line.flow_l_h ?? 0)))
  const floor = MARGIN + deepest * ROW
  let returns = 0
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
    if (x2 > x1) {
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
    const under = floor + 4 + 9 * returns++
    const into = to.x + 14 + 10 * (returns % 5)
    return [{ ...base, back: true, d: `M${x1} ${y1}h10V${under}H${into}V${to.y + to.height}` }]
  })

  return {
    boxes: [...boxes.values()],
    runs,
    width: (left[last] ?? MARGIN) + (wide.has(last) ? BOX.width : DOT) + 30,
    height: floor + 10 + 9 * returns,
  }
}
