<script setup lang="ts">
import { NButton } from 'naive-ui'
import type { FieldErrors } from '@/api/types'

defineProps<{
  errors: FieldErrors
  /** The field at which a plan is refused; what is done already is booked all the same. */
  refused?: string
  again: string
  already?: string
}>()
const emit = defineEmits<{ again: []; done: [] }>()
</script>

<!-- What stands against a booking, and the two ways past it: somebody else did it as well, or it is done already. -->
<template>
  <p v-if="errors.again" class="caution danger" role="alert">
    {{ errors.again }} <NButton size="small" @click="emit('again')">{{ again }}</NButton>
  </p>
  <p v-if="refused && already && errors[refused]" class="caution">
    What has been done counts, whatever speaks against it:
    <NButton size="small" @click="emit('done')">{{ already }}</NButton>
  </p>
</template>
