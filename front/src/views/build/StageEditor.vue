<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Stage, System, Vocabulary } from '@/api/types'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'
import { whole } from '@/units/chosen'
import { joinFields, joinsFrom } from './joins'

const props = defineProps<{ system: System; words: Vocabulary; writes: boolean }>()
const OWN = 'own'

const part = usePart(
  () => props.system.slug,
  'stages',
  () => ({
    name: '',
    kind: 'static_bed',
    medium: '',
    area_m2_m3: '',
    media_l: '',
    flow_l_h: '',
    air_l_min: '',
    branch: '',
    maturity_pct: '',
    fouling_pct: '',
    loss_mm: '',
    rim_mm: '',
    may_drop_mm: '',
    lamp_w: '',
    lamp_fitted_on: '',
    sleeve_wiped_on: '',
    vessel_id: '',
    fed: '',
    began: '',
    since: '',
    bypassable: 'no',
    bypassed: 'no',
    water_l: '',
    plan_m2: '',
    cleaned_on: '',
    chamber_id: '',
    under_pressure: 'no',
    may_press_m: '',
    cost: '',
    own_pump: 'no',
    pump_l_h: '',
    pump_lift_m: '',
    pump_w: '',
    ...joinsFrom(props.system),
  }),
  () => props.system.build.stages,
  (stage) => ({
    ...asTyped({
      ...stage,
      flow_l_h: stage.flow_of_loop ? '' : stage.flow_l_h,
      bypassable: stage.bypassable ? 'yes' : 'no',
      bypassed: stage.bypassed ? 'yes' : 'no',
      fed: stage.fed ?? '',
      vessel_id: stage.vessel_id ?? '',
      chamber_id: stage.chamber_id ?? '',
      under_pressure: stage.under_pressure ? 'yes' : 'no',
    }),
    began: stage.since === null ? 'unknown' : 'since',
    medium: stage.area_m2_m3 === null ? stage.medium : OWN,
  }),
)
const { open, form } = part

const kind = computed(() => props.words.stage_kinds.find((k) => k.id === form.kind))
/** A new stage is called what it is and filled with what it usually is, until something else is typed. */
watch(kind, (now, before) => {
  if (!part.fresh.value || !now) return
  if (!form.name || form.name === before?.name) form.name = now.name
  if (!form.medium || form.medium === before?.usual_medium) form.medium = now.usual_medium ?? ''
})
/** Chambers that something can lie in, over what is there already. */
const chambers = computed(() =>
  props.system.build.stages
    .filter((s) => s.chamber_id === null && s.kind !== 'uv' && s.id !== open.value)
    .map((s) => ({ value: s.id, label: s.name })),
)
/** What lies in another's chamber has its water, its level and its lines. */
const layer = computed(() => Boolean(form.chamber_id))
/** What common practice puts in its place, with both figures. */
function instead(medium: Vocabulary['media'][number]): string {
  const other = props.words.media.find((row) => row.id === medium.instead)
  if (!other) return ''
  const surface = (m2: number) => `${m2 / 10} m²`
  return `100 L of it have ${surface(medium.area_m2_m3)}; 100 L of ${other.name.toLowerCase()} have ${surface(
    other.area_m2_m3,
  )} and come out to be washed.`
}
const medium = computed(() => props.words.media.find((m) => m.id === form.medium))
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  {
    key: 'kind',
    label: 'Kind',
    choices: props.words.stage_kinds.map((k) => ({ value: k.id, label: k.name })),
  },
  ...(kind.value?.nitrifies
    ? [
        {
          key: 'medium',
          label: 'Medium',
          choices: [
            ...props.words.media.map((m) => ({ value: m.id, label: `${m.name}, ${m.area_m2_m3} m²/m³` })),
            { value: OWN, label: 'Another medium, by its surface' },
          ],
          hint: medium.value
            ? [
                medium.value.remark ??
                  `Makers give ${medium.value.low_m2_m3} to ${medium.value.high_m2_m3} m²/m³`,
                instead(medium.value),
              ]
                .filter(Boolean)
                .join(' ')
            : undefined,
        },
        ...(form.medium === OWN ? [{ key: 'area_m2_m3', label: 'Surface area', unit: 'm²/m³' }] : []),
        { key: 'media_l', label: 'Bulk volume of medium', unit: 'L' },
      ]
    : []),
  ...(chambers.value.length && form.kind !== 'uv'
    ? [
        {
          key: 'chamber_id',
          label: 'Lies in',
          choices: [{ value: '', label: 'a chamber of its own' }, ...chambers.value],
          hint: layer.value ? 'over what lies there; the same water passes both' : undefined,
        },
      ]
    : []),
  ...(layer.value
    ? []
    : [
        {
          key: 'flow_l_h',
          label: 'Flow through it',
          unit: 'L/h',
          hint: 'empty: what the loop gives it',
          more: !part.fresh.value && !form.flow_l_h,
        },
      ]),
  ...(part.fresh.value && !layer.value && form.own_pump !== 'yes'
    ? joinFields(props.system, form.fed_from)
    : []),
  ...(form.kind === 'uv'
    ? [
        { key: 'lamp_w', label: 'Lamp', unit: 'W' },
        { key: 'lamp_fitted_on', label: 'Lamp fitted on', day: true },
        {
          key: 'sleeve_wiped_on',
          label: 'Sleeve wiped on',
          day: true,
          hint: 'it fouls with the lamp off too',
        },
      ]
    : []),
  ...(form.kind === 'moving_bed'
    ? [{ key: 'air_l_min', label: 'Air', unit: 'L/min of air', hint: 'empty is 0' }]
    : []),
  ...(kind.value?.nitrifies
    ? [
        {
          key: 'maturity_pct',
          label: 'Share grown, by your judgement',
          unit: '%',
          hint: 'empty: by the load of the last weeks',
        },
        {
          key: 'cleaned_on',
          label: 'Last flushed or cleaned',
          day: true,
          hint: 'fouling is estimated from then',
        },
        { key: 'fouling_pct', label: 'Fouling you see', unit: '%', hint: 'corrects the estimate' },
      ]
    : []),
  { key: 'loss_mm', label: 'Head loss at this flow', unit: 'mm', hint: 'empty is 20' },
  ...(kind.value?.nitrifies
    ? [
        {
          key: 'began',
          label: 'Media in use since',
          choices: [
            { value: '', label: 'choose' },
            { value: 'today', label: 'new today' },
            { value: 'since', label: 'running since' },
            { value: 'unknown', label: 'not known' },
          ],
          hint:
            form.began === 'today'
              ? 'live media from a running filter: book them as a seed on Maturing, and they count'
              : 'what lives in it follows from that',
        },
        ...(form.began === 'since' ? [{ key: 'since', label: 'since the', day: true }] : []),
      ]
    : []),
  ...(layer.value ? [] : ofItsOwn.value),
  { key: 'cost', label: 'Cost', more: true, hint: 'if you want it counted' },
])
/** What only a stage with a chamber of its own has. */
const ofItsOwn = computed<PartField[]>(() => [
  ...(form.under_pressure === 'yes'
    ? [
        {
          key: 'may_press_m',
          label: 'Made for a pressure of',
          unit: 'm',
          hint: 'of water: 1 bar is 10.2 m',
        },
      ]
    : [
        { key: 'rim_mm', label: 'Rim above the water', unit: 'mm', hint: 'of an open chamber' },
        { key: 'may_drop_mm', label: 'Level may drop', unit: 'mm', hint: 'before the pump draws air' },
      ]),
  {
    key: 'under_pressure',
    label: 'Top',
    choices: [
      { value: 'no', label: 'open' },
      { value: 'yes', label: 'closed, under pressure' },
    ],
    more: form.kind !== 'bead_vessel',
  },
  { key: 'branch', label: 'Branch', words: true, hint: 'neighbours in different branches run side by side' },
  {
    key: 'bypassable',
    label: 'Bypass',
    choices: [
      { value: 'no', label: 'none' },
      { value: 'yes', label: 'it has one' },
    ],
    more: true,
  },
  ...(form.bypassable === 'yes'
    ? [
        {
          key: 'bypassed',
          label: 'Water now',
          choices: [
            { value: 'no', label: 'goes through it' },
            { value: 'yes', label: 'passes it by' },
          ],
          more: true,
        },
      ]
    : []),
  {
    key: 'fed',
    label: 'Fed by',
    choices: [
      { value: '', label: '' },
      { value: 'gravity', label: 'gravity' },
      { value: 'pumped', label: 'a pump' },
      { value: 'air', label: 'air' },
    ],
    more: true,
  },
  {
    key: 'vessel_id',
    label: 'Stands inside',
    choices: [
      { value: '', label: 'no vessel: its own chamber' },
      ...props.system.build.vessels.map((v) => ({ value: v.id, label: v.name })),
    ],
    more: !part.fresh.value,
  },
  ...(part.fresh.value && form.vessel_id
    ? [
        {
          key: 'own_pump',
          label: 'A pump in it',
          choices: [
            { value: 'no', label: 'none of its own' },
            { value: 'yes', label: 'its own, described with it' },
          ],
        },
        ...(form.own_pump === 'yes'
          ? [
              { key: 'pump_l_h', label: 'The pump moves at most', unit: 'L/h' },
              {
                key: 'pump_lift_m',
                label: 'and lifts at most',
                unit: 'm',
                hint: 'its curve between the two is assumed',
              },
              { key: 'pump_w', label: 'Power', unit: 'W' },
            ]
          : []),
      ]
    : []),
  { key: 'water_l', label: 'Water in it', unit: 'L', more: true, hint: 'counts in the volume of the loop' },
  {
    key: 'plan_m2',
    label: 'Area seen from above',
    unit: 'm²',
    more: form.kind !== 'upflow',
    hint: 'for how fast the water rises in it',
  },
])

function save(): void {
  const own = form.medium === OWN
  const nitrifies = kind.value?.nitrifies ?? false
  part.save.mutate({
    id: undefined,
    medium: own || !nitrifies ? null : form.medium,
    area_m2_m3: own && nitrifies ? form.area_m2_m3 : null,
    media_l: nitrifies ? form.media_l : null,
    ...(nitrifies ? {} : { began: 'unknown' }),
  })
}

const line = (stage: Stage) => {
  const within = props.system.build.stages.find((one) => one.id === stage.chamber_id)?.name
  const name = props.words.media.find((m) => m.id === stage.medium)?.name
  const filled =
    stage.media_l > 0
      ? `${whole(stage.media_l, 'L')} ${name ? name.toLowerCase() : `of ${stage.area_m2_m3} m²/m³`}, `
      : ''
  const kind = props.words.stage_kinds.find((k) => k.id === stage.kind)?.name.toLowerCase()
  return `${kind}, ${filled}${within ? `lies in ${within}` : whole(stage.flow_l_h, 'L/h')}`
}
</script>

<template>
  <PartList
    title="Filter stages, in flow order"
    add="Add a stage"
    empty="No stage yet. Without one nothing takes the ammonia but water changes."
    :parts="system.build.stages"
    :open="open"
    :writes="writes"
    @edit="part.edit"
    @fresh="part.edit(null)"
  >
    <template #line="{ part: stage }"
      >{{ line(stage) }}<b v-if="stage.bypassed" class="fault">, bypassed</b></template
    >
    <template #figure />
    <template #form>
      <PartForm :part="part" :fields="fields" retires @save="save">
        <p v-if="form.kind === 'uv'" class="soft small caution">
          Never look at a lit lamp or let it shine on skin. Switch off before you open the housing; no bare
          fingers on the quartz. Glass and mains in water: a residual-current device, put in by a qualified
          electrician.
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
