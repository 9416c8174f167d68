<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FishPage, System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import PartForm, { type PartField } from '@/parts/editor/PartForm.vue'
import PartList from '@/parts/editor/PartList.vue'
import { asTyped, usePart } from '@/parts/editor/usePart'
import { figures } from '@/units/number'
import { day } from '@/units/time'
import FishAction from './FishAction.vue'

const props = defineProps<{ system: System; fish: FishPage; writes: boolean }>()
const part = usePart(
  () => props.system.slug,
  'fish',
  () => ({
    name: '',
    count: '',
    length_cm: '',
    weight_g: '',
    condition: '',
    vessel_id: '',
    came: '',
    arrived_on: '',
  }),
  () => props.fish.groups,
  (group) =>
    asTyped({
      name: group.name,
      count: group.count,
      length_cm: group.weight_g === null ? group.length_cm : null,
      weight_g: group.weight_g,
      condition: group.condition,
      vessel_id: group.vessel_id ?? '',
      came: group.arrived_on === null ? 'here' : 'since',
      arrived_on: group.arrived_on,
    }),
)
const { open, form } = part
const doing = ref<string>()

const fields = computed<PartField[]>(() => [
  { key: 'name', label: 'Name of the group, or of the fish', words: true },
  { key: 'count', label: 'Count' },
  { key: 'length_cm', label: 'Length, nose to tail tip', unit: 'cm', hint: 'the mean of the group' },
  { key: 'weight_g', label: 'or weight of one', unit: 'g', hint: 'both give the condition factor' },
  { key: 'condition', label: 'Condition factor', hint: '1.3 lean to 1.8 stout; empty is 1.5' },
  {
    key: 'vessel_id',
    label: 'Bay',
    choices: [
      { value: '', label: 'any bay' },
      ...props.system.build.vessels.map((v) => ({ value: v.id, label: v.name })),
    ],
  },
  {
    key: 'came',
    label: 'How they came',
    choices: [
      { value: '', label: 'choose' },
      { value: 'here', label: 'are here already' },
      { value: 'today', label: 'arrived today' },
      { value: 'since', label: 'arrived on' },
    ],
    hint: 'the filter has to grow to what arrives',
  },
  ...(form.came === 'since' ? [{ key: 'arrived_on', label: 'Arrived on', day: true }] : []),
])
const bay = (id: string | null) => props.system.build.vessels.find((vessel) => vessel.id === id)?.name
const number = (value: number) => figures(value)
</script>

<template>
  <PartList
    title="Who lives here"
    add="Add fish"
    empty="No fish yet. Add a group with its mean length, or single fish by name."
    :parts="fish.groups"
    :open="open"
    :writes="writes"
    @edit="part.edit"
    @fresh="part.edit(null)"
  >
    <template #line="{ part: group }">
      {{ group.count }} of {{ number(group.length_cm) }} cm<template v-if="bay(group.vessel_id)"
        >, in {{ bay(group.vessel_id) }}</template
      ><template v-if="group.arrived_on"
        >, since {{ day(group.arrived_on)
        }}<template v-if="system.kind === 'quarantine'">, day {{ group.days_here }}</template></template
      ><template v-if="group.grows_cm_month !== null"
        >, {{ number(group.grows_cm_month) }} cm a month</template
      >
      <button
        v-if="writes"
        type="button"
        class="link-button small act"
        :aria-label="`Measure, move or take out ${group.name}`"
        @click="doing = doing === group.id ? undefined : group.id"
      >
        Measure, move or remove
      </button>
      <FishAction v-if="doing === group.id" :system="system" :group="group" @done="doing = undefined" />
    </template>
    <template #figure="{ part: group }"><FigureButton :figure="group.weight" /></template>
    <template #form>
      <p v-if="system.kind === 'quarantine' && fish.groups.some((one) => one.count)" class="caution">
        One more fish into the same water starts the quarantine again for all of them.
      </p>
      <PartForm :part="part" :fields="fields" @save="part.save.mutate({})" />
    </template>
  </PartList>
</template>

<style scoped>
.act {
  margin-left: 1rem;
}
</style>
