<script setup lang="ts">
defineProps<{ choices: { value: string; label: string }[]; status?: 'error' }>()
const chosen = defineModel<string | null>()
</script>

<!-- A list to choose from, the device's own: it opens large under a thumb and reads well aloud. -->
<template>
  <select
    v-model="chosen"
    class="choice"
    :class="status"
    :aria-invalid="status === 'error' ? 'true' : undefined"
  >
    <option v-for="choice in choices" :key="choice.value" :value="choice.value">{{ choice.label }}</option>
  </select>
</template>
