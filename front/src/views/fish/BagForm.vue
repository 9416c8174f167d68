<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Shipments, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PhotoField from '@/parts/PhotoField.vue'
import TypedField from '@/parts/TypedField.vue'

type Bag = Shipments['shipments'][number]['bags'][number]
const props = defineProps<{ system: System; shipment: string; bag?: Bag }>()
const emit = defineEmits<{ done: [] }>()
const FIELDS = [
  { key: 'name', label: 'What they are called', unit: null, words: true },
  { key: 'count', label: 'Fish in it', unit: null },
  { key: 'length_cm', label: 'Mean length', unit: 'cm' },
  { key: 'litres', label: 'Water in the bag', unit: 'L' },
  { key: 'temp_c', label: 'Temperature', unit: '°C' },
  { key: 'ph', label: 'pH', unit: null },
  { key: 'tan_mg_l', label: 'Ammonia', unit: 'mg/L as N' },
  { key: 'kh', label: 'KH', unit: 'dKH' },
  { key: 'salinity_g_l', label: 'Salt', unit: 'g/L' },
  { key: 'no3_mg_l', label: 'Nitrate', unit: 'mg/L as NO₃' },
] as const
const text = (value: string | number | null | undefined) =>
  value === null || value === undefined
    ? ''
    : typeof value === 'number'
      ? String(+value.toPrecision(6))
      : value
const form = reactive<Record<string, string>>(
  Object.fromEntries(FIELDS.map(({ key }) => [key, text(props.bag?.[key])])),
)
const photo = ref('')
const id = props.bag?.id ?? ulid()
const keep = useSend(
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/shipments/{shipment}/bags/{id}', {
        params: { path: { system: props.system.slug, shipment: props.shipment, id } },
        body: { ...form, photo: photo.value || null },
      }),
    ),
  () => emit('done'),
)
</script>

<!-- A bag: its fish, and of its water what was measured. -->
<template>
  <form
    novalidate
    :aria-label="bag ? `Bag of ${bag.name}` : 'Add a bag'"
    @submit.prevent="keep.send(undefined)"
  >
    <p class="soft small">
      Float it closed meanwhile. What you do not measure is reckoned from the fish and the hours, on the safe
      side.
    </p>
    <div class="fields">
      <TypedField
        v-for="field in FIELDS"
        :key="field.key"
        v-model="form[field.key]!"
        :label="field.label"
        :unit="field.unit"
        :words="'words' in field"
        :error="keep.errors.value[field.key]"
      />
    </div>
    <PhotoField v-model="photo" :error="keep.errors.value.photo" />
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Save the bag</NButton>
      <NButton @click="emit('done')">Cancel</NButton>
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 0.75rem;
  padding: 0.75rem 0;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
  gap: 0.75rem 1.25rem;
}

.buttons {
  display: flex;
  gap: 1rem;
}
</style>
