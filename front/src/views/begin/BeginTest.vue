<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import ReadingFields from '@/parts/ReadingFields.vue'

const props = defineProps<{ system: System }>()
const KEYS = ['tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'alkalinity_mg_l', 'do_mg_l']
const readings = ref<Record<string, { typed: string; unit: string | null }>>({})
const book = useSend((_: undefined, key) =>
  answer(() =>
    api.POST('/api/systems/{system}/visits', {
      params: { path: { system: props.system.slug } },
      body: {
        id: key,
        taken_at: null,
        readings: readings.value,
        vessel_id: null,
        spot: null,
        corrects: null,
      },
    }),
  ),
)
</script>

<!-- The first test: whatever can be read now. -->
<template>
  <p class="lead">Test the water and enter what you read. Leave out what you have no kit for.</p>
  <form novalidate @submit.prevent="book.send(undefined)">
    <div class="fields">
      <ReadingFields v-model="readings" :keys="KEYS" :errors="book.errors.value" />
    </div>
    <p v-if="book.errors.value.readings ?? book.trouble.value" class="fault" role="alert">
      {{ book.errors.value.readings ?? book.trouble.value }}
    </p>
    <NButton type="primary" attr-type="submit" :loading="book.pending.value">Book the test</NButton>
  </form>
</template>
