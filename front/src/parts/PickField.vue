<script setup lang="ts">
import ChoiceField from './ChoiceField.vue'
import FormField from './FormField.vue'

defineProps<{
  label: string
  choices: { value: string; label: string }[]
  hint?: string
  error?: string
}>()
const chosen = defineModel<string | null>()
</script>

<!-- One thing to be chosen from a list, with its label and what is wrong with it. -->
<template>
  <FormField v-slot="{ id, status, described }" :label="label" :hint="hint" :error="error">
    <ChoiceField
      :id="id"
      v-model="chosen"
      :status="status"
      :choices="choices"
      :aria-describedby="described"
    />
  </FormField>
</template>
