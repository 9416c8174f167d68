<script setup lang="ts">
import type { System } from '@/api/types'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'

const props = defineProps<{ system: System; writes: boolean }>()
const part = usePart(
  () => props.system.slug,
  'junctions',
  () => ({ name: '' }),
  () => props.system.build.junctions,
  (junction) => asTyped({ name: junction.name }),
)
const { open, edit, save } = part
const fields: PartField[] = [{ key: 'name', label: 'Name', words: true }]
const meet = (id: string) =>
  props.system.build.lines
    .filter((line) => [line.from, line.to].includes(`junction:${id}`))
    .map((line) => line.name)
    .join(', ')
</script>

<!-- Where lines meet: one pipe that collects several drains, one return that feeds several bays. -->
<template>
  <PartList
    title="Junctions, where lines meet"
    add="Add a junction"
    empty="None. Add one where a pipe collects several drains, or feeds several bays."
    :parts="system.build.junctions"
    :open="open"
    :writes="writes"
    @edit="edit"
    @fresh="edit(null)"
  >
    <template #line="{ part: junction }">{{ meet(junction.id) || 'nothing leads here yet' }}</template>
    <template #figure />
    <template #form><PartForm :part="part" :fields="fields" @save="save.mutate({})" /></template>
  </PartList>
</template>
