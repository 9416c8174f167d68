<script setup lang="ts">
import { NInput } from 'naive-ui'
import { symbolOf } from '@/units/chosen'
import { sentText, shownText } from '@/units/entry'
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
  longest?: number
}>()
const text = defineModel<string>({ required: true })
</script>

<!-- One thing to be typed, in the unit of whoever types it, with its label and what is wrong with it. -->
<template>
  <FormField
    v-slot="{ id, status, described }"
    :label="label"
    :unit="symbolOf(unit)"
    :hint="hint"
    :error="error"
  >
    <NInput
      :value="shownText(text, unit)"
      :status="status"
      :disabled="disabled"
      :placeholder="shownText(placeholder ?? '', unit)"
      :maxlength="longest ?? (words ? 200 : 20)"
      :input-props="{
        id,
        type: day ? 'date' : 'text',
        inputmode: words || day ? undefined : 'decimal',
        autocomplete: 'off',
        'aria-describedby': described,
      }"
      @update:value="text = sentText($event, unit)"
    />
  </FormField>
</template>
