import type { System } from '@/api/types'
import type { PartField } from '@/parts/editor/PartForm.vue'

/** Where a line can begin, as it is written. */
const begins = (system: System) => [
  ...system.build.vessels.map((v) => ({ value: `vessel:${v.id}`, label: v.name })),
  ...system.build.stages
    .filter((s) => s.chamber_id === null)
    .map((s) => ({ value: `stage:${s.id}`, label: s.name })),
  ...system.build.junctions.map((j) => ({ value: `junction:${j.id}`, label: j.name })),
]

/** The part before: the last stage that leads nowhere yet, or the junction that does. */
export function joinsFrom(system: System): { fed_from: string; join_bore_mm: string } {
  const led = new Set(system.build.lines.filter((line) => line.to !== 'outside').map((line) => line.from))
  const open = [
    ...system.build.junctions.map((j) => `junction:${j.id}`),
    ...system.build.stages.filter((s) => s.chamber_id === null).map((s) => `stage:${s.id}`),
  ]
    .filter((place) => !led.has(place))
    .pop()
  const before = system.build.lines.filter((line) => line.to.startsWith('stage:')).pop()
  return { fed_from: open ?? '', join_bore_mm: before ? String(before.bore_mm) : '110' }
}

/** A new part is joined to the one before it by a short line, drawn with it. */
export const joinFields = (system: System, from: string | null | undefined): PartField[] => [
  {
    key: 'fed_from',
    label: 'Fed from',
    choices: [{ value: '', label: 'nothing yet' }, ...begins(system)],
    hint: 'draws a line of half a metre',
  },
  ...(from ? [{ key: 'join_bore_mm', label: 'by a bore of', unit: 'mm' }] : []),
]
