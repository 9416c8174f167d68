<script setup lang="ts">
import { computed } from 'vue'
import { useVocabulary } from '@/api/queries'
import TypedField from './TypedField.vue'

const props = defineProps<{ keys: readonly string[]; errors: Record<string, string> }>()
/** What is typed by parameter, each in the first of its units. */
const readings = defineModel<Record<string, { typed: string; unit: string | null }>>({ required: true })
const vocabulary = useVocabulary()
const parameters = computed(() =>
  props.keys.flatMap((key) => vocabulary.data.value?.parameters.filter((row) => row.id === key) ?? []),
)
function type(key: string, unit: string | null, typed: string): void {
  const rest = Object.fromEntries(Object.entries(readings.value).filter(([id]) => id !== key))
  readings.value = typed.trim() === '' ? rest : { ...rest, [key]: { typed, unit } }
}
</script>

<!-- A few readings to be typed, each with its unit. -->
<template>
  <TypedField
    v-for="row in parameters"
    :key="row.id"
    :model-value="readings[row.id]?.typed ?? ''"
    :label="row.name"
    :unit="row.units[0]?.symbol ?? row.symbol"
    :error="errors[`readings.${row.id}`]"
    @update:model-value="type(row.id, row.units[0]?.id ?? null, $event)"
  />
</template>
