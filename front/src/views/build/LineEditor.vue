<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Line, System, Vocabulary } from '@/api/types'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import RowsField from '@/parts/editor/RowsField.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'

const props = defineProps<{ system: System; words: Vocabulary; writes: boolean }>()
const fittingsOf = (line: Line) =>
  Object.entries(line.fittings ?? {}).map(([id, count]) => ({ id, count: String(count) }))
const part = usePart(
  () => props.system.slug,
  'lines',
  () => ({
    name: '',
    from: '',
    to: '',
    bore_mm: '',
    length_m: '',
    valve_open_pct: '',
    check_valve: 'no',
    guarded: 'no',
    outlet: '',
    ends_above_mm: '',
    intake: '',
    within_reach: 'yes',
    spot: '',
    aim: '',
    leads_to: '',
    fall_mm: '',
    mouth_mm: '',
    three_way_id: '',
    cost: '',
  }),
  () => props.system.build.lines,
  (line) =>
    asTyped({
      ...line,
      fittings: null,
      check_valve: line.check_valve ? 'yes' : 'no',
      guarded: line.guarded ? 'yes' : 'no',
      outlet: line.outlet ?? '',
      intake: line.intake ?? '',
      within_reach: line.within_reach ? 'yes' : 'no',
      spot: line.spot ?? '',
      aim: line.aim ?? '',
      leads_to: line.leads_to ?? '',
      three_way_id: line.three_way_id ?? '',
      ends_above_mm: line.ends_above_mm || null,
    }),
  fittingsOf,
)
const { open, form, errors } = part
const fittings = ref<Record<string, string>[]>([])

const ends = computed(() => [
  ...props.system.build.vessels.map((v) => ({ value: `vessel:${v.id}`, label: v.name })),
  ...props.system.build.stages
    .filter((s) => s.chamber_id === null)
    .map((s) => ({ value: `stage:${s.id}`, label: s.name })),
  ...props.system.build.pumps
    .filter((p) => p.kind === 'water' || p.kind === 'airlift')
    .map((p) => ({ value: `pump:${p.id}`, label: p.name })),
  ...props.system.build.junctions.map((j) => ({ value: `junction:${j.id}`, label: j.name })),
])
const bays = computed(() => props.system.build.vessels.filter((v) => v.holds_fish))
/** A new line can be drawn from every bay, or to every bay, at once. */
const each = computed(() =>
  part.fresh.value && bays.value.length > 1
    ? [{ value: 'each', label: `every bay: ${bays.value.length} lines alike` }]
    : [],
)
const atVessel = (end: string | null | undefined) => end === 'each' || (end?.startsWith('vessel:') ?? false)
const outlets = [
  { value: '', label: '' },
  { value: 'pipe', label: 'a pipe under water' },
  { value: 'jet', label: 'a jet at the surface' },
  { value: 'waterfall', label: 'a waterfall' },
  { value: 'spray_bar', label: 'a spray bar' },
  { value: 'venturi', label: 'a venturi' },
]
const intakes = [
  { value: '', label: '' },
  { value: 'bottom_drain', label: 'a bottom drain' },
  { value: 'skimmer', label: 'a skimmer' },
  { value: 'high_sponge', label: 'a coarse sponge set high' },
  { value: 'floor_pump', label: 'a pump on the floor' },
  { value: 'wall', label: 'a fitting in the wall' },
  { value: 'overflow', label: 'an overflow or standpipe' },
]
const spots = [
  { value: '', label: '' },
  { value: 'one_end', label: 'one end' },
  { value: 'middle', label: 'the middle' },
  { value: 'far_end', label: 'the other end' },
]
const wastes = [
  { value: '', label: '' },
  { value: 'sewer', label: 'the sewer' },
  { value: 'soakaway', label: 'a soakaway' },
  { value: 'garden', label: 'the garden' },
  { value: 'tank', label: 'a tank' },
]
/** Lines that come to the same place, with which a three-way valve can be shared. */
const neighbours = computed(() =>
  props.system.build.lines
    .filter((l) => l.id !== open.value && l.to === form.to && form.to !== 'outside' && !atVessel(form.to))
    .map((l) => ({ value: l.id, label: l.name })),
)
const place = (value: string) =>
  value === 'outside' ? 'outside' : (ends.value.find((end) => end.value === value)?.label ?? '')
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  { key: 'from', label: 'From', choices: [...each.value, ...ends.value] },
  {
    key: 'to',
    label: 'To',
    choices: [...each.value, ...ends.value, { value: 'outside', label: 'Outside: waste' }],
  },
  { key: 'bore_mm', label: 'Bore, inside', unit: 'mm' },
  { key: 'length_m', label: 'Length', unit: 'm' },
  { key: 'valve_open_pct', label: 'Valve open', unit: '%', hint: '0 is shut; empty: it has none' },
  {
    key: 'check_valve',
    label: 'Check valve',
    choices: [
      { value: 'no', label: 'none' },
      { value: 'yes', label: 'lets nothing back' },
    ],
  },
  ...(atVessel(form.from) ? [{ key: 'intake', label: 'Intake', choices: intakes }] : []),
  ...(atVessel(form.from) || form.to?.startsWith('pump:')
    ? [
        {
          key: 'guarded',
          label: 'Guard on the intake',
          choices: [
            { value: 'no', label: 'none' },
            { value: 'yes', label: 'yes' },
          ],
        },
      ]
    : []),
  ...(atVessel(form.to)
    ? [
        { key: 'outlet', label: 'Outlet', choices: outlets },
        { key: 'ends_above_mm', label: 'Ends above the water', unit: 'mm', hint: 'empty: under water' },
      ]
    : []),
  ...(atVessel(form.from)
    ? [
        {
          key: 'within_reach',
          label: 'Intake within reach',
          choices: [
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no' },
          ],
          more: true,
        },
      ]
    : []),
  ...(atVessel(form.from) || atVessel(form.to)
    ? [{ key: 'spot', label: 'Opens at', choices: spots, more: true }]
    : []),
  ...(atVessel(form.to)
    ? [
        {
          key: 'aim',
          label: 'Blows',
          choices: [
            { value: '', label: '' },
            { value: 'along', label: 'along the vessel' },
            { value: 'across', label: 'across it' },
          ],
          more: true,
        },
      ]
    : []),
  ...(form.to === 'outside'
    ? [
        {
          key: 'fall_mm',
          label: 'Falls below the water by',
          unit: 'mm',
          hint: 'says what a flush takes',
        },
        { key: 'leads_to', label: 'Waste goes to', choices: wastes },
      ]
    : []),
  ...(form.to?.startsWith('pump:')
    ? [
        {
          key: 'mouth_mm',
          label: 'Its mouth lies under the water by',
          unit: 'mm',
          hint: 'says how far the level may fall before it draws air',
        },
      ]
    : []),
  { key: 'cost', label: 'Cost', more: true, hint: 'if you want it counted' },
  ...(neighbours.value.length
    ? [
        {
          key: 'three_way_id',
          label: 'Three-way valve with',
          choices: [{ value: '', label: 'none' }, ...neighbours.value],
          more: true,
          hint: 'what this one lets through, the other does not',
        },
      ]
    : []),
])
const columns = computed(() => [
  {
    key: 'id',
    label: 'Fitting',
    choices: [
      { value: '', label: '' },
      ...props.words.fittings.map((f) => ({ value: f.id, label: `${f.name}, K ${f.k}` })),
    ],
  },
  { key: 'count', label: 'How many' },
])

function edit(line: Line | null): void {
  fittings.value = line ? fittingsOf(line) : []
  if (!fittings.value.length) fittings.value.push({ id: '', count: '' })
  part.edit(line)
}
</script>

<template>
  <PartList
    title="Lines"
    add="Add a line"
    empty="No line yet. With bores and lengths the flows and levels can be worked out."
    :parts="system.build.lines"
    :open="open"
    :writes="writes"
    @edit="edit"
    @fresh="edit(null)"
  >
    <template #line="{ part: line }"
      >{{ place(line.from) }} → {{ place(line.to) }}, {{ line.bore_mm }} mm, {{ line.length_m }} m<template
        v-if="line.valve_open_pct === 0"
        >, shut</template
      ></template
    >
    <template #figure />
    <template #form>
      <PartForm :part="part" :fields="fields" @save="part.save.mutate({ id: undefined, fittings })">
        <RowsField
          v-model:rows="fittings"
          legend="Fittings, with the way in and the way out"
          name="fittings"
          :columns="columns"
          :errors="errors"
          :theirs="part.theirRows.value"
          :fewest="1"
          add="Another fitting"
        />
      </PartForm>
    </template>
  </PartList>
</template>
