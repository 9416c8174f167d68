<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Pump, System, Vocabulary } from '@/api/types'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import RowsField from '@/parts/editor/RowsField.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'
import { joinFields, joinsFrom } from './joins'
import { whole } from '@/units/chosen'

const props = defineProps<{ system: System; words: Vocabulary; writes: boolean }>()
const curveOf = (pump: Pump) =>
  (pump.curve ?? []).map((point) => ({ flow_l_h: String(point.flow_l_h), head_m: String(point.head_m) }))
const part = usePart(
  () => props.system.slug,
  'pumps',
  () => ({
    name: '',
    kind: 'water',
    power_w: '',
    circuit: '',
    rated_l_h: '',
    air_l_min: '',
    by_day: 'no',
    at_surface: 'no',
    spot: '',
    aim: '',
    guarded: '',
    vessel_id: '',
    submergence_m: '',
    lift_m: '',
    riser_mm: '',
    diffuser: '',
    depth_m: '',
    above_mm: '',
    cost: '',
    ...joinsFrom(props.system),
  }),
  () => props.system.build.pumps,
  (pump) =>
    asTyped({
      ...pump,
      curve: null,
      running: null,
      by_day: pump.by_day ? 'yes' : 'no',
      at_surface: pump.at_surface ? 'yes' : 'no',
      spot: pump.spot ?? '',
      aim: pump.aim ?? '',
      guarded: pump.guarded === null ? '' : pump.guarded ? 'yes' : 'no',
      vessel_id: pump.vessel_id ?? '',
      diffuser: pump.diffuser ?? '',
    }),
  curveOf,
)
const { open, form, errors } = part
const curve = ref<Record<string, string>[]>([])

const kinds: Record<string, string> = {
  water: 'Pump of the loop',
  circulator: 'Circulator in a vessel',
  air: 'Air pump',
  airlift: 'Airlift',
  heater: 'Heater',
}
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  {
    key: 'kind',
    label: 'Kind',
    choices: props.words.pump_kinds.map((value) => ({ value, label: kinds[value] ?? value })),
  },
  ...(form.kind === 'circulator' ? [{ key: 'rated_l_h', label: 'Rated flow', unit: 'L/h' }] : []),
  ...(form.kind === 'air' || form.kind === 'airlift'
    ? [{ key: 'air_l_min', label: 'Air', unit: 'L/min of air' }]
    : []),
  ...(form.kind === 'airlift'
    ? [
        { key: 'submergence_m', label: 'Depth of air inlet', unit: 'm' },
        { key: 'lift_m', label: 'Lift above the water', unit: 'm' },
        { key: 'riser_mm', label: 'Bore of the riser', unit: 'mm' },
      ]
    : []),
  ...(form.kind === 'air'
    ? [
        {
          key: 'diffuser',
          label: 'Outlet for air',
          choices: [
            { value: '', label: 'stones or rings' },
            { value: 'fine', label: 'a fine membrane' },
          ],
        },
        { key: 'depth_m', label: 'Depth', unit: 'm', hint: '0.7 assumed if empty' },
      ]
    : []),
  {
    key: 'vessel_id',
    label: form.kind === 'air' ? 'Air goes to' : 'Stands inside',
    choices: [
      { value: '', label: form.kind === 'air' ? 'more than one' : 'no vessel' },
      ...props.system.build.vessels.map((v) => ({ value: v.id, label: v.name })),
    ],
  },
  ...(form.kind === 'water' && !form.vessel_id
    ? [
        {
          key: 'above_mm',
          label: 'Stands above the water it draws from by',
          unit: 'mm',
          hint: 'empty: at or below it, and it fills by itself',
        },
      ]
    : []),
  ...(form.kind === 'water' && part.fresh.value ? joinFields(props.system, form.fed_from) : []),
  { key: 'power_w', label: 'Power', unit: 'W' },
  { key: 'circuit', label: 'Electrical circuit', words: true },
  { key: 'cost', label: 'Cost', more: true, hint: 'if you want it counted' },
  ...(form.kind === 'heater'
    ? []
    : [
        {
          key: 'by_day',
          label: 'Power source',
          choices: [
            { value: 'no', label: 'the mains' },
            { value: 'yes', label: 'the sun: by day only' },
          ],
        },
      ]),
  ...(form.kind === 'circulator'
    ? [
        {
          key: 'spot',
          label: 'Stands at',
          choices: [
            { value: '', label: '' },
            { value: 'one_end', label: 'one end' },
            { value: 'middle', label: 'the middle' },
            { value: 'far_end', label: 'the other end' },
          ],
        },
        {
          key: 'aim',
          label: 'Blows',
          choices: [
            { value: '', label: '' },
            { value: 'along', label: 'along the vessel' },
            { value: 'across', label: 'across it' },
          ],
        },
        {
          key: 'guarded',
          label: 'Guard round it',
          choices: [
            { value: '', label: '' },
            { value: 'no', label: 'none' },
            { value: 'yes', label: 'yes' },
          ],
        },
        {
          key: 'at_surface',
          label: 'Set to',
          choices: [
            { value: 'no', label: 'move the water below' },
            { value: 'yes', label: 'break the surface' },
          ],
        },
      ]
    : []),
])
const points = [
  { key: 'flow_l_h', label: 'Flow', unit: 'L/h' },
  { key: 'head_m', label: 'Head, m' },
]

function edit(pump: Pump | null): void {
  curve.value = pump ? curveOf(pump) : []
  if (!pump) curve.value.push({ flow_l_h: '0', head_m: '' })
  while (curve.value.length < 3) curve.value.push({ flow_l_h: '', head_m: '' })
  part.edit(pump)
}

const number = (value: number | null) => new Intl.NumberFormat('en-GB').format(value ?? 0)
const line = (pump: Pump) => {
  const most =
    pump.kind === 'heater'
      ? 'heater'
      : pump.kind === 'air' || pump.kind === 'airlift'
        ? `${number(pump.air_l_min)} L/min of air`
        : pump.kind === 'circulator'
          ? whole(pump.rated_l_h, 'L/h')
          : `up to ${whole(Math.max(...(pump.curve ?? []).map((p) => p.flow_l_h)), 'L/h')}`
  return `${most}, ${number(pump.power_w)} W${pump.circuit ? `, on ${pump.circuit}` : ''}${pump.running ? '' : ', off'}`
}
</script>

<template>
  <PartList
    title="Pumps"
    add="Add a pump"
    empty="No pump yet."
    :parts="system.build.pumps"
    :open="open"
    :writes="writes"
    @edit="edit"
    @fresh="edit(null)"
  >
    <template #line="{ part: pump }">{{ line(pump) }}</template>
    <template #figure />
    <template #form>
      <PartForm
        :part="part"
        :fields="fields"
        retires
        @save="
          part.save.mutate({
            running: undefined,
            state: undefined,
            id: undefined,
            curve: form.kind === 'water' ? curve : undefined,
          })
        "
      >
        <RowsField
          v-if="form.kind === 'water'"
          v-model:rows="curve"
          legend="Its curve, from no flow to full flow"
          name="curve"
          :columns="points"
          :errors="errors"
          :theirs="part.theirRows.value"
          :fewest="2"
          add="Another point"
        />
        <p class="soft small caution">
          Mains electricity beside water: every pump on a residual-current device, put in by a qualified
          electrician. Pump and air pump on different circuits.
        </p>
      </PartForm>
    </template>
  </PartList>
</template>

<style scoped>
.caution {
  margin-top: 0.75rem;
}
</style>
