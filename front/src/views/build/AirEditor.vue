<script setup lang="ts">
import { computed } from 'vue'
import type { AirOutlet, System } from '@/api/types'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'

const props = defineProps<{ system: System; writes: boolean }>()
const pumps = computed(() => props.system.build.pumps.filter((pump) => pump.kind === 'air'))
const part = usePart(
  () => props.system.slug,
  'outlets',
  () => ({
    name: '',
    pump_id: pumps.value.length === 1 ? (pumps.value[0]?.id ?? '') : '',
    to: '',
    share: '',
    valve: 'open',
  }),
  () => props.system.build.outlets,
  (outlet) => asTyped({ ...outlet }),
)
const { open, form, edit, save } = part
const places = computed(() => [
  ...props.system.build.vessels.map((v) => ({ value: `vessel:${v.id}`, label: v.name })),
  ...props.system.build.stages.map((s) => ({ value: `stage:${s.id}`, label: s.name })),
])
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  { key: 'pump_id', label: 'Air pump', choices: pumps.value.map((p) => ({ value: p.id, label: p.name })) },
  { key: 'to', label: 'Air comes out in', choices: places.value },
  {
    key: 'valve',
    label: 'Its valve',
    choices: [
      { value: 'open', label: 'open' },
      { value: 'shut', label: 'shut' },
      { value: 'none', label: 'it has none' },
    ],
    hint: form.to?.startsWith('stage:') ? 'shut, where air is led there only for a wash' : undefined,
  },
  { key: 'share', label: 'Parts of the air', hint: 'against the other outlets; empty is 1', more: true },
])
const line = (outlet: AirOutlet) => {
  const pump = pumps.value.find((one) => one.id === outlet.pump_id)?.name ?? ''
  const to = places.value.find((one) => one.value === outlet.to)?.label ?? ''
  return `${pump} → ${to}${outlet.valve === 'shut' ? ', shut' : ''}`
}
</script>

<!-- One air pump on several outlets, with valves that lead its air elsewhere. -->
<template>
  <PartList
    v-if="pumps.length"
    title="Outlets of air"
    add="Add an outlet"
    empty="None: all air of a pump comes out where its fish are."
    :parts="system.build.outlets"
    :open="open"
    :writes="writes"
    @edit="edit"
    @fresh="edit(null)"
  >
    <template #line="{ part: outlet }">{{ line(outlet) }}</template>
    <template #figure />
    <template #form
      ><PartForm :part="part" :fields="fields" @save="save.mutate({ id: undefined })"
    /></template>
  </PartList>
</template>
