<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { System, WaterPage } from '@/api/types'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import { whole } from '@/units/chosen'

const props = defineProps<{ system: System; meter: WaterPage['meter']; writes: boolean }>()
const form = reactive({ meter_l: '' })
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const read = useSend(
  (_, key) => answer(() => api.PUT('/api/systems/{system}/meter/{id}', { ...path(key), body: { ...form } })),
  () => (form.meter_l = ''),
)
const remove = useSend((id: string) => answer(() => api.DELETE('/api/systems/{system}/meter/{id}', path(id))))
</script>

<!-- The counter of the water meter, and what it says of the trickle and of what is booked. -->
<template>
  <section class="part" aria-label="The water meter">
    <h2>The water meter</h2>
    <p v-if="meter.says">{{ meter.says.text }}</p>
    <p v-else class="soft small">Two readings some days apart show how much really runs in.</p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="read.send(undefined)">
      <TypedField v-model="form.meter_l" label="Meter reading" unit="L" :error="read.errors.value.meter_l" />
      <NButton attr-type="submit" :loading="read.pending.value">Book it</NButton>
    </form>
    <p v-if="read.trouble.value" class="fault" role="alert">{{ read.trouble.value }}</p>
    <ul class="rows">
      <li v-for="one in meter.readings" :key="one.id">
        <span>{{ whole(one.litres, 'L') }}</span>
        <span class="soft"
          >{{ one.age }}<template v-if="one.by">, {{ one.by }}</template></span
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Undo ${whole(one.litres, 'L')}, ${one.age}`"
          @click="remove.send(one.id)"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>
