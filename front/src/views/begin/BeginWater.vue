<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import ReadingFields from '@/parts/ReadingFields.vue'
import TypedField from '@/parts/TypedField.vue'

const KINDS = [
  { value: 'tap', label: 'mains tap' },
  { value: 'well', label: 'well or borehole' },
  { value: 'rain', label: 'rain' },
  { value: 'ro', label: 'reverse osmosis' },
]
const KEYS = ['no3_n_mg_l', 'alkalinity_mg_l', 'hardness_mg_l', 'ph', 'temp_c', 'chlorine_mg_l']
const form = reactive({ name: 'Tap', kind: 'tap', chloramine: 'no' })
const readings = ref<Record<string, { typed: string; unit: string | null }>>({})
/** The test is booked under the same key when it is sent again. */
const testKey = ulid()

const add = useSend(async (tested: boolean, key) => {
  const water = await answer(() =>
    api.PUT('/api/waters/{id}', {
      params: { path: { id: key } },
      body: { name: form.name, kind: form.kind, unit_name: '', softened: 'no' },
    }),
  )
  if (tested && Object.keys(readings.value).length)
    await answer(() =>
      api.PUT('/api/waters/{water}/tests/{id}', {
        params: { path: { water: key, id: testKey } },
        body: { side: 'raw', tested_on: '', chloramine: form.chloramine, readings: readings.value },
      }),
    )
  return water
})
</script>

<!-- Where the water comes from, tested or not yet. -->
<template>
  <p class="lead">
    Where does your water come from? Water changes bring a system towards its source water, so its nitrate and
    KH count.
  </p>
  <form novalidate @submit.prevent="add.send(true)">
    <div class="fields">
      <PickField label="Source water" :error="add.errors.value.kind" v-model="form.kind" :choices="KINDS" />
      <TypedField v-model="form.name" label="Name" words :error="add.errors.value.name" />
    </div>
    <div class="fields">
      <ReadingFields v-model="readings" :keys="KEYS" :errors="add.errors.value" />
      <PickField
        v-if="readings.chlorine_mg_l"
        label="Kind of chlorine"
        v-model="form.chloramine"
        :choices="[
          { value: 'no', label: 'free chlorine' },
          { value: 'yes', label: 'chloramine' },
        ]"
      />
    </div>
    <div class="fields">
      <NButton type="primary" attr-type="submit" :loading="add.pending.value">Save the source water</NButton>
      <NButton :loading="add.pending.value" @click="add.send(false)">Not tested yet</NButton>
    </div>
    <p v-if="add.trouble.value" class="fault" role="alert">{{ add.trouble.value }}</p>
    <p class="soft small">
      Not tested yet? Its chlorine is then assumed, and shown as assumed, until you test it.
    </p>
  </form>
</template>
