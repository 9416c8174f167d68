<script setup lang="ts">
import { useId } from 'vue'

defineProps<{ label: string; error?: string; unit?: string | null; hint?: string }>()
const id = useId()
</script>

<!-- A label, what stands in the slot, and the message that belongs to it right beneath. -->
<template>
  <div class="field">
    <label :for="id"
      >{{ label }}<span v-if="unit" class="soft small">{{ ` ${unit}` }}</span></label
    >
    <slot
      :id="id"
      :described="error ? `${id}-fault` : undefined"
      :status="error ? ('error' as const) : undefined"
    />
    <p v-if="error" :id="`${id}-fault`" class="fault small" role="alert">{{ error }}</p>
    <p v-else-if="hint" class="soft small">{{ hint }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  gap: 0.2rem;
  align-content: start;
}

label {
  font-size: 0.9375rem;
}

label .soft {
  margin-left: 0.4em;
}
</style>
