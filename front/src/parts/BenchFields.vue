<script setup lang="ts">
import { computed } from 'vue'
import type { Bench } from '@/api/types'
import PickField from './PickField.vue'
import TypedField from './TypedField.vue'
import { symbolOf } from '@/units/chosen'
import { shownText } from '@/units/entry'

const props = defineProps<{ bench: Bench }>()
const typed = defineModel<Record<string, string>>({ required: true })
/** What must be typed comes first; what the book knows, or is assumed, can be opened and typed over. */
const asks = computed(() => props.bench.fields.filter((field) => !field.filled))
const known = computed(() => props.bench.fields.filter((field) => field.filled))
const type = (key: string, value: string | null | undefined) =>
  (typed.value = { ...typed.value, [key]: value ?? '' })
const said = (field: Bench['fields'][number]) =>
  field.choices.find((row) => row.value === (typed.value[field.key] || field.value))?.label ??
  shownText(typed.value[field.key] || (field.value ?? ''), field.unit)
const withThese = computed(
  () =>
    'With ' +
    known.value
      .map((field) => `${field.label} ${said(field)}${field.unit ? ` ${symbolOf(field.unit)}` : ''}`)
      .join(', '),
)
const homeless = computed(() =>
  Object.entries(props.bench.errors).filter(
    ([key]) => !props.bench.fields.some((field) => field.key === key),
  ),
)
</script>

<!--
  The fields of a bench: those to be typed, and behind a fold those the book filled in, each with where it is from.
-->
<template>
  <div v-if="asks.length" class="fields">
    <template v-for="field in asks" :key="field.key">
      <PickField
        v-if="field.choices.length"
        :label="field.label"
        :error="bench.errors[field.key]"
        :model-value="typed[field.key] || field.value || ''"
        :choices="field.value ? field.choices : [{ value: '', label: 'choose' }, ...field.choices]"
        @update:model-value="type(field.key, $event)"
      />
      <TypedField
        v-else
        :model-value="typed[field.key] ?? ''"
        :label="field.label"
        :unit="field.unit"
        :error="bench.errors[field.key]"
        @update:model-value="type(field.key, $event)"
      />
    </template>
  </div>
  <details v-if="known.length" class="known" :open="known.some((field) => bench.errors[field.key])">
    <summary>{{ withThese }}</summary>
    <div class="fields">
      <template v-for="field in known" :key="field.key">
        <PickField
          v-if="field.choices.length"
          :label="field.label"
          :hint="field.from"
          :error="bench.errors[field.key]"
          :model-value="typed[field.key] || field.value"
          :choices="field.choices"
          @update:model-value="type(field.key, $event)"
        />
        <TypedField
          v-else
          :model-value="typed[field.key] ?? ''"
          :label="field.label"
          :unit="field.unit"
          :placeholder="field.value ?? ''"
          :hint="field.from"
          :error="bench.errors[field.key]"
          @update:model-value="type(field.key, $event)"
        />
      </template>
    </div>
  </details>
  <p v-for="[key, error] in homeless" :key="key" class="fault" role="alert">{{ error }}</p>
</template>

<style scoped>
.known {
  margin: 0.4rem 0 0.8rem;
}
</style>
