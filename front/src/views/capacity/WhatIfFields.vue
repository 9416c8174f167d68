<script setup lang="ts">
import { computed } from 'vue'
import type { FieldErrors, System } from '@/api/types'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System; errors: FieldErrors }>()
const typed = defineModel<Record<string, string>>('typed', { required: true })

const stages = computed(() => [
  { value: '', label: '' },
  ...props.system.build.stages.map((stage) => ({ value: stage.id, label: stage.name })),
])
const text = (key: string) => ({
  modelValue: typed.value[key] ?? '',
  'onUpdate:modelValue': (value: string) => (typed.value[key] = value),
  error: props.errors[key],
})
</script>

<template>
  <div class="fields">
    <TypedField v-bind="text('fish_more')" label="More fish" hint="a negative number for fish sold" />
    <TypedField v-bind="text('fish_length_cm')" label="Length" unit="cm" placeholder="50" />
    <PickField
      label="This stage off"
      :error="errors.stage_off"
      :model-value="typed.stage_off ?? ''"
      :choices="stages"
      @update:model-value="typed.stage_off = $event ?? ''"
    />
    <PickField
      label="More medium in"
      :error="errors.media_stage"
      :model-value="typed.media_stage ?? ''"
      :choices="stages"
      @update:model-value="typed.media_stage = $event ?? ''"
    />
    <TypedField v-if="typed.media_stage" v-bind="text('media_more_l')" label="Medium added" unit="L" />
    <TypedField v-bind="text('lost_pct')" label="Loss by a wash" unit="% of bacteria" />
    <TypedField v-bind="text('flow_pct')" label="Flow" unit="% of now" placeholder="100" />
    <TypedField v-bind="text('change_l_d')" label="Water changed" unit="L/d" />
    <TypedField
      v-if="typed.change_l_d"
      v-bind="text('source_no3_mg_l')"
      label="Nitrate in new water"
      unit="mg/L as NO₃"
    />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
  gap: 1rem 1.5rem;
  margin-top: 1rem;
}
</style>
