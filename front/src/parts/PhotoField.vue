<script setup lang="ts">
import { photo } from './photo'

defineProps<{ error?: string; label?: string }>()
const sent = defineModel<string>({ required: true })

async function picture(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  sent.value = ''
  if (file) sent.value = await photo(file)
}
</script>

<!-- A picture for the book, taken with the phone or chosen. -->
<template>
  <div class="photo">
    <label
      >{{ label ?? 'A picture' }}
      <input type="file" accept="image/jpeg,image/png,image/webp" capture="environment" @change="picture"
    /></label>
    <p v-if="error" class="fault" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
input {
  min-height: 44px;
  padding: 10px 0;
}
</style>
