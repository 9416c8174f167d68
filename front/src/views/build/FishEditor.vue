<script setup lang="ts">
import { computed } from 'vue'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import PartForm, { type PartField } from './PartForm.vue'
import PartList from './PartList.vue'
import { asTyped, usePart } from './usePart'

const props = defineProps<{ system: System; writes: boolean }>()
const part = usePart(() => props.system.slug, 'fish', () => ({ name: '', count: '', length_cm: '', condition: '', vessel_id: '' }), () => props.system.build.fish)
const { open, form, errors } = part

const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name of the group', words: true },
  { key: 'count', label: 'Count' },
  { key: 'length_cm', label: 'Length, nose to tail tip', unit: 'cm', hint: 'the mean of the group' },
  { key: 'condition', label: 'Condition factor', hint: '1.3 lean to 1.8 stout; empty is 1.5' },
  { key: 'vessel_id', label: 'Swim in', choices: [{ value: '', label: 'any bay' }, ...props.system.build.vessels.map((v) => ({ value: v.id, label: v.name }))] },
])
</script>

<template>
  <PartList title="Fish" add="Add fish" empty="No fish yet." :parts="system.build.fish" :open="open" :writes="writes" @edit="(group) => part.edit(group.id, asTyped({ name: group.name, count: group.count, length_cm: group.length_cm, condition: group.condition, vessel_id: group.vessel_id ?? '' }))" @fresh="part.edit(null, {})">
    <template #line="{ part: group }">{{ group.count }} of {{ group.length_cm }} cm</template>
    <template #figure="{ part: group }"><FigureButton :figure="group.weight" /></template>
    <template #form>
      <PartForm :form="form" :fields="fields" :errors="errors" :trouble="part.trouble.value" :saving="part.save.isPending.value" :fresh="!system.build.fish.some((g) => g.id === open)" @save="part.save.mutate({})" @cancel="open = null" @remove="part.remove.mutate(open ?? '')" />
    </template>
  </PartList>
</template>
