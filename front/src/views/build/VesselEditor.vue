<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useDebounce } from '@vueuse/core'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { System, Vessel, Vocabulary } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import RowsField from '@/parts/editor/RowsField.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'

const props = defineProps<{ system: System; words: Vocabulary; writes: boolean }>()

const word = (yes: boolean) => (yes ? 'yes' : 'no')
/** The measures of a vessel: stations along a pond apart from the lengths of a shape. */
const measured = (vessel: Vessel | null) => {
  const { stations, ...lengths } = (vessel?.measures ?? {}) as {
    stations?: { at_m: number; area_m2: number }[]
  } & Record<string, number>
  return { stations: stations ?? [], lengths }
}
const stationsOf = (vessel: Vessel) =>
  measured(vessel).stations.map((s) => ({ at_m: String(s.at_m), area_m2: String(s.area_m2) }))
const part = usePart(
  () => props.system.slug,
  'vessels',
  () => ({
    name: '',
    kind: 'bay',
    shape: 'box',
    freeboard_m: '',
    displaced_l: '',
    floor: 'flat',
    floor_m: '',
    alike: '',
    measured: 'each',
    netted: 'no',
    overflow: 'no',
    float_valve: 'no',
    refill_l_min: '',
    shade: 'none',
    level_mm: '',
    may_fall_mm: '',
    stones_m2: '',
    silt_m2: '',
    plants_m2: '',
    invertebrates: 'no',
    cost: '',
  }),
  () => props.system.build.vessels,
  (vessel) =>
    asTyped({
      name: vessel.name,
      kind: vessel.kind,
      shape: vessel.shape,
      freeboard_m: vessel.freeboard_m,
      displaced_l: vessel.displaced_l,
      netted: word(vessel.netted),
      overflow: word(vessel.overflow),
      float_valve: word(vessel.float_valve),
      refill_l_min: vessel.refill_l_min,
      cost: vessel.cost,
      shade: vessel.shade,
      level_mm: vessel.level_mm || null,
      may_fall_mm: vessel.may_fall_mm,
      stones_m2: vessel.stones_m2 || null,
      silt_m2: vessel.silt_m2 || null,
      plants_m2: vessel.plants_m2 || null,
      invertebrates: word(vessel.invertebrates),
      ...measured(vessel).lengths,
    }),
  stationsOf,
)
const stations = ref<Record<string, string>[]>([])
const yesNo = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
]
const sections = [
  { key: 'at_m', label: 'Along the pond, m' },
  { key: 'area_m2', label: 'Wetted area, m²' },
]
const { open, form, errors } = part

const shape = computed(() => props.words.shapes.find((s) => s.id === form.shape))
const upright = computed(() => shape.value?.upright ?? false)
const long = computed(() => shape.value?.dimensions.some((dimension) => dimension.id === 'length_m') ?? false)
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  { key: 'kind', label: 'Kind', choices: props.words.vessel_kinds.map((value) => ({ value, label: value })) },
  { key: 'shape', label: 'Shape', choices: props.words.shapes.map((s) => ({ value: s.id, label: s.name })) },
  ...(shape.value?.dimensions ?? []).map((dimension) => ({
    key: dimension.id,
    label: dimension.name,
    unit: 'm',
  })),
  ...(upright.value
    ? [
        {
          key: 'floor',
          label: 'Floor',
          choices: props.words.floors.map((f) => ({ value: f.id, label: f.name })),
        },
        ...(form.floor && form.floor !== 'flat'
          ? [{ key: 'floor_m', label: 'Floor falls by', unit: 'm', hint: 'below the foot of the walls' }]
          : []),
      ]
    : []),
  ...(form.shape === 'sections'
    ? []
    : [{ key: 'freeboard_m', label: 'Freeboard', unit: 'm', hint: 'dry height below the rim; empty is 0' }]),
  { key: 'displaced_l', label: 'Displaced', unit: 'L', hint: 'by media, stones, fittings; empty is 0' },
  ...(part.fresh.value
    ? [
        { key: 'alike', label: 'How many alike', hint: 'empty is one; Bay becomes Bay 1, Bay 2 …' },
        ...(long.value && Number(form.alike) > 1
          ? [
              {
                key: 'measured',
                label: 'These measures are of',
                choices: [
                  { value: 'each', label: 'each of them' },
                  { value: 'together', label: 'all together, divided along the length' },
                ],
              },
            ]
          : []),
      ]
    : []),
  { key: 'netted', label: 'Net over it', choices: yesNo },
  { key: 'overflow', label: 'Overflow', choices: yesNo, more: true },
  {
    key: 'float_valve',
    label: 'Float valve',
    choices: yesNo,
    more: true,
    hint: 'lets new water in by itself',
  },
  ...(form.float_valve === 'yes'
    ? [
        {
          key: 'refill_l_min',
          label: 'It lets in',
          unit: 'L/min',
          more: true,
          hint: 'open wide, by a bucket and a watch',
        },
      ]
    : []),
  {
    key: 'shade',
    label: 'Shade',
    choices: [
      { value: 'none', label: 'none' },
      { value: 'part', label: 'half the day' },
      { value: 'full', label: 'all day, or indoors' },
    ],
    more: true,
  },
  {
    key: 'level_mm',
    label: 'Water level',
    unit: 'mm',
    more: true,
    hint: 'above the others; −600 for a sump below; empty: level with them',
  },
  { key: 'may_fall_mm', label: 'Level may fall', unit: 'mm', more: true, hint: 'with the pump running' },
  {
    key: 'stones_m2',
    label: 'Stones on its floor',
    unit: 'm²',
    more: true,
    hint: 'their whole surface, where bacteria grow',
  },
  { key: 'silt_m2', label: 'Floor under silt', unit: 'm²', more: true },
  { key: 'plants_m2', label: 'Cover of plants', unit: 'm²', more: true },
  {
    key: 'invertebrates',
    label: 'Snails, mussels, crayfish',
    choices: yesNo,
    more: true,
    hint: 'some treatments kill them',
  },
  { key: 'cost', label: 'Cost', more: true, hint: 'if you want it counted' },
])

/** Only what belongs to the chosen shape is sent; the rest stays typed, should the shape change back. */
const measures = computed(() => {
  const keys = [
    'shape',
    'displaced_l',
    ...(form.shape === 'sections' ? [] : ['freeboard_m']),
    ...(upright.value && form.floor && form.floor !== 'flat' ? ['floor', 'floor_m'] : []),
    ...(shape.value?.dimensions ?? []).map((d) => d.id),
  ]
  return {
    ...Object.fromEntries(keys.map((key) => [key, form[key] ?? ''])),
    ...(form.shape === 'sections' ? { stations: stations.value } : {}),
  }
})
const asked = useDebounce(
  computed(() => (open.value === null ? '' : JSON.stringify(measures.value))),
  200,
)
const volume = useQuery({
  queryKey: ['volume', asked],
  enabled: computed(() => asked.value !== ''),
  retry: false,
  queryFn: () => answer(() => api.POST('/api/volume', { body: JSON.parse(asked.value) })),
})

function edit(vessel: Vessel | null): void {
  stations.value = vessel ? stationsOf(vessel) : []
  while (stations.value.length < 3) stations.value.push({ at_m: '', area_m2: '' })
  part.edit(vessel)
}

function save(): void {
  part.save.mutate({
    ...Object.fromEntries(Object.keys(form).map((key) => [key, undefined])),
    name: form.name,
    kind: form.kind,
    netted: form.netted,
    overflow: form.overflow,
    float_valve: form.float_valve,
    refill_l_min: form.float_valve === 'yes' ? form.refill_l_min : '',
    shade: form.shade,
    level_mm: form.level_mm,
    may_fall_mm: form.may_fall_mm,
    stones_m2: form.stones_m2,
    silt_m2: form.silt_m2,
    plants_m2: form.plants_m2,
    invertebrates: form.invertebrates,
    cost: form.cost,
    ...(part.fresh.value ? { alike: form.alike, measured: form.measured } : {}),
    ...measures.value,
  })
}
</script>

<template>
  <PartList
    title="Vessels"
    add="Add a vessel"
    empty="No vessel yet. Its volume stands behind every dose."
    :parts="system.build.vessels"
    :open="open"
    :writes="writes"
    @edit="edit"
    @fresh="edit(null)"
  >
    <template #line="{ part: vessel }"
      >{{ vessel.kind }}, {{ words.shapes.find((s) => s.id === vessel.shape)?.name.toLowerCase()
      }}<template v-if="vessel.level_mm"
        >, {{ Math.abs(vessel.level_mm) }} mm {{ vessel.level_mm < 0 ? 'below' : 'above' }} the
        others</template
      ><b v-if="vessel.shut_off" class="fault">, shut off</b></template
    >
    <template #figure="{ part: vessel }"><FigureButton :figure="vessel.volume" /></template>
    <template #form>
      <PartForm :part="part" :fields="fields" retires @save="save">
        <RowsField
          v-if="form.shape === 'sections'"
          v-model:rows="stations"
          legend="Sections"
          name="stations"
          :columns="sections"
          :errors="errors"
          :theirs="part.theirRows.value"
          :fewest="2"
          add="Another section"
        />
        <p class="volume" aria-live="polite">
          <template v-if="volume.data.value">Holds <FigureButton :figure="volume.data.value" big /></template>
          <span v-else class="soft">The volume appears as the measures are typed.</span>
        </p>
      </PartForm>
    </template>
  </PartList>
</template>

<style scoped>
.volume {
  margin-top: 1rem;
  min-height: 2rem;
}
</style>
