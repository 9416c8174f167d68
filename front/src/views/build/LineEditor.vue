<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Line, System, Vocabulary } from '@/api/types'
import PartForm, { type PartField } from './PartForm.vue'
import PartList from './PartList.vue'
import RowsField from './RowsField.vue'
import { asTyped, usePart } from './usePart'

const props = defineProps<{ system: System; words: Vocabulary; writes: boolean }>()
const part = usePart(() => props.system.slug, 'lines', () => ({ name: '', from: '', to: '', bore_mm: '', length_m: '', valve_open_pct: '', check_valve: 'no', guarded: 'no', outlet: '', ends_above_mm: '' }), () => props.system.build.lines)
const { open, form, errors } = part
const fittings = ref<Record<string, string>[]>([])

const ends = computed(() => [
  ...props.system.build.vessels.map((v) => ({ value: `vessel:${v.id}`, label: v.name })),
  ...props.system.build.stages.map((s) => ({ value: `stage:${s.id}`, label: s.name })),
  ...props.system.build.pumps.filter((p) => p.kind === 'water').map((p) => ({ value: `pump:${p.id}`, label: p.name })),
])
const outlets = [
  { value: '', label: '' },
  { value: 'pipe', label: 'a pipe under water' },
  { value: 'jet', label: 'a jet at the surface' },
  { value: 'waterfall', label: 'a waterfall' },
  { value: 'spray_bar', label: 'a spray bar' },
  { value: 'venturi', label: 'a venturi' },
]
const place = (value: string) => (value === 'outside' ? 'outside' : (ends.value.find((end) => end.value === value)?.label ?? ''))
const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name', words: true },
  { key: 'from', label: 'From', choices: ends.value },
  { key: 'to', label: 'To', choices: [...ends.value, { value: 'outside', label: 'Outside: waste' }] },
  { key: 'bore_mm', label: 'Bore, inside', unit: 'mm' },
  { key: 'length_m', label: 'Length', unit: 'm' },
  { key: 'valve_open_pct', label: 'Valve open', unit: '%', hint: '0 is shut; empty: it has none' },
  { key: 'check_valve', label: 'Check valve', choices: [{ value: 'no', label: 'none' }, { value: 'yes', label: 'lets nothing back' }] },
  ...(form.from?.startsWith('vessel:') ? [{ key: 'guarded', label: 'Guard on its mouth', choices: [{ value: 'no', label: 'none' }, { value: 'yes', label: 'yes' }] }] : []),
  ...(form.to?.startsWith('vessel:') ? [{ key: 'outlet', label: 'Meets the water as', choices: outlets }, { key: 'ends_above_mm', label: 'Ends above the water', unit: 'mm', hint: 'empty: under water' }] : []),
])
const columns = computed(() => [
  { key: 'id', label: 'Fitting', choices: [{ value: '', label: '' }, ...props.words.fittings.map((f) => ({ value: f.id, label: `${f.name}, K ${f.k}` }))] },
  { key: 'count', label: 'How many' },
])

function edit(line: Line | null): void {
  fittings.value = Object.entries(line?.fittings ?? {}).map(([id, count]) => ({ id, count: String(count) }))
  if (!fittings.value.length) fittings.value.push({ id: '', count: '' })
  part.edit(line?.id ?? null, line ? asTyped({ ...line, fittings: null, check_valve: line.check_valve ? 'yes' : 'no', guarded: line.guarded ? 'yes' : 'no', outlet: line.outlet ?? '', ends_above_mm: line.ends_above_mm || null }) : {})
}
</script>

<template>
  <PartList title="Lines" add="Add a line" empty="No line yet. With bores and lengths the flows and levels can be worked out." :parts="system.build.lines" :open="open" :writes="writes" @edit="edit" @fresh="edit(null)">
    <template #line="{ part: line }">{{ place(line.from) }} → {{ place(line.to) }}, {{ line.bore_mm }} mm, {{ line.length_m }} m<template v-if="line.valve_open_pct === 0">, shut</template></template>
    <template #figure />
    <template #form>
      <PartForm :form="form" :fields="fields" :errors="errors" :trouble="part.trouble.value" :saving="part.save.isPending.value" :fresh="!system.build.lines.some((l) => l.id === open)" @save="part.save.mutate({ id: undefined, fittings })" @cancel="open = null" @remove="part.remove.mutate(open ?? '')">
        <RowsField v-model:rows="fittings" legend="Fittings, with the way in and the way out" name="fittings" :columns="columns" :errors="errors" :fewest="1" add="Another fitting" />
      </PartForm>
    </template>
  </PartList>
</template>
