<script setup lang="ts">
import { NInput } from 'naive-ui'
import FormField from './FormField.vue'

defineProps<{
  label: string
  unit?: string | null
  hint?: string
  error?: string
  words?: boolean
  day?: boolean
  placeholder?: string
  disabled?: boolean
}>()
const text = defineModel<string>({ required: true })
</script>

<!-- One thing to be typed, with its label, unit and what is wrong with it. -->
<template>
  <FormField
    v-slot="{ id, status, described }"
    :label="label"
    :unit="unit ?? undefined"
    :hint="hint"
    :error="error"
  >
    <NInput
      v-model:value="text"
      :status="status"
      :disabled="disabled"
      :placeholder="placeholder ?? ''"
      :maxlength="words ? 200 : 20"
      :input-props="{
        id,
        type: day ? 'date' : 'text',
        inputmode: words || day ? undefined : 'decimal',
        autocomplete: 'off',
        'aria-describedby': described,
      }"
    />
  </FormField>
</template>
