<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { queryClient, usePlace } from '@/api/queries'
import { useSend } from '@/api/useSend'
import TypedField from './TypedField.vue'

const place = usePlace()
const form = reactive({
  altitude_m: '',
  latitude_deg: '',
  price_per_kwh: '',
  price_per_m3: '',
  emergency_call: '',
})
const text = (value: number | null) => (value === null ? '' : String(value))
// What is typed meanwhile is not written over by an answer that comes late.
let filled = false
watch(
  () => place.data.value,
  (known) => {
    if (!known || filled) return
    filled = true
    form.altitude_m ||= text(known.altitude_m || null)
    form.latitude_deg ||= text(known.latitude_deg)
    form.price_per_kwh ||= text(known.price_per_kwh)
    form.price_per_m3 ||= text(known.price_per_m3)
    form.emergency_call ||= known.emergency_call ?? ''
  },
  { immediate: true },
)
const kept = ref(false)
const keep = useSend(
  async () => {
    await answer(() => api.PUT('/api/site', { body: { ...form } }))
    await queryClient.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
  },
  () => (kept.value = true),
)
</script>

<!-- Where the place lies, and what power costs there. -->
<template>
  <form novalidate @submit.prevent="keep.send(undefined)">
    <div class="fields">
      <TypedField
        v-model="form.altitude_m"
        label="Altitude"
        unit="m"
        hint="oxygen goes by it"
        :error="keep.errors.value.altitude_m"
      />
      <TypedField
        v-model="form.latitude_deg"
        label="Latitude"
        unit="°"
        hint="south: with a minus"
        :error="keep.errors.value.latitude_deg"
      />
      <TypedField
        v-model="form.price_per_kwh"
        label="Power costs"
        unit="per kWh"
        :error="keep.errors.value.price_per_kwh"
      />
      <TypedField
        v-model="form.price_per_m3"
        label="Water costs"
        unit="per m³"
        hint="with what it costs to get rid of"
        :error="keep.errors.value.price_per_m3"
      />
      <TypedField
        v-model="form.emergency_call"
        label="Whom to call"
        words
        :longest="300"
        hint="printed on the emergency cards"
        :error="keep.errors.value.emergency_call"
      />
    </div>
    <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Keep it</NButton>
    <p v-if="kept && !keep.pending.value" role="status">Kept.</p>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
.fields {
  align-items: start;
}
</style>
