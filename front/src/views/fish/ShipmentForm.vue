<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System }>()
const emit = defineEmits<{ done: [id: string] }>()
const form = reactive({ from_whom: '', hours: '', boxes: '' })
const id = ulid()
const keep = useSend(
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/shipments/{id}', {
        params: { path: { system: props.system.slug, id } },
        body: { ...form },
      }),
    ),
  () => emit('done', id),
)
</script>

<!-- Fish that came today: from whom, and how long ago they were packed. -->
<template>
  <form class="fields" novalidate aria-label="A shipment came" @submit.prevent="keep.send(undefined)">
    <TypedField
      v-model="form.from_whom"
      label="From"
      words
      :longest="80"
      :error="keep.errors.value.from_whom"
    />
    <TypedField
      v-model="form.hours"
      label="Packed"
      unit="h"
      hint="ago; empty is not known"
      :error="keep.errors.value.hours"
    />
    <TypedField v-model="form.boxes" label="Boxes" :error="keep.errors.value.boxes" />
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Save the shipment</NButton>
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.75rem 1.25rem;
}

.buttons {
  align-self: start;
  margin-top: 1.5rem;
}
</style>
