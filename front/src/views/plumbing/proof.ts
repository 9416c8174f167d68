import type { Figure, Plumbing } from '@/api/types'
import { symbolOf, wholeNumber } from '@/units/chosen'
import { figures } from '@/units/number'

/**
 * A flow or level of the solved loop as a figure that opens to its proof: the whole network, and the
 * question for this one part of it.
 */
export function proof(
  plumbing: Plumbing,
  label: string,
  ask: string | null,
  key: 'flow_l_h' | 'loss_m' | 'level_mm',
  value: number | null,
): Figure | null {
  if (!plumbing.network || ask === null || value === null) return null
  const unit = { flow_l_h: 'L/h', loss_m: 'm', level_mm: 'mm' }[key]
  return {
    label,
    value,
    text: key === 'loss_m' ? figures(value) : wholeNumber(value, unit),
    unit: symbolOf(unit) ?? unit,
    value_unit: unit,
    calc: 'flow.network',
    key,
    input: { ...plumbing.network, ask },
    origins: [
      {
        key: 'links',
        label: 'The loop',
        text: `${(plumbing.network.links as unknown[]).length} links`,
        kind: 'build',
        from: 'bores, lengths, fittings, valves and pump curves from the build',
      },
    ],
    parts: [],
    say: null,
  }
}
