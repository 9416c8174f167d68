import type { Plumbing } from '@/api/types'

export const key = (place: { kind: string; id: string }) => `${place.kind}:${place.id}`

export type Joined = Pick<
  Plumbing['lines'][number],
  'id' | 'name' | 'from' | 'to' | 'flow_l_h' | 'valve_open_pct'
>

/** Stages with a chamber of their own; what lies in one is drawn in it. */
export const chambers = (plumbing: Plumbing) => plumbing.stages.filter((stage) => stage.chamber_id === null)

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

/** Who stands in which column of a loop, and what joins them. */
export interface Columns {
  lines: Joined[]
  pumps: Plumbing['pumps']
  column: Map<string, number>
  /** How far up each should stand in its column. */
  above: Map<string, number>
  /** What comes back to where the water was before. */
  returning: Joined[]
}

/** Flow order: vessels first, each further part one column past the last that feeds it. */
export function columnsOf(plumbing: Plumbing): Columns {
  const pumps = plumbing.pumps.filter((pump) => pump.kind === 'water' || pump.kind === 'airlift')
  const vessels = plumbing.vessels.map((vessel) => `vessel:${vessel.id}`)
  const parts = [
    ...chambers(plumbing).map((stage) => `stage:${stage.id}`),
    ...pumps.map((pump) => `pump:${pump.id}`),
    ...plumbing.junctions.map((junction) => `junction:${junction.id}`),
  ]
  const lines = [...plumbing.lines, ...joins(plumbing, pumps)]
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
  const returning = lines.filter(
    (line) =>
      line.to.kind !== 'outside' &&
      column.has(key(line.from)) &&
      (column.get(key(line.from)) ?? 0) >= (column.get(key(line.to)) ?? 0),
  )
  return { lines, pumps, column, above: order(forward, column), returning }
}
