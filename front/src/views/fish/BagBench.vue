<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useBag } from '@/api/queries'
import type { System } from '@/api/types'
import TypedField from '@/parts/TypedField.vue'
import BagAnswer from './BagAnswer.vue'

const props = defineProps<{ system: System }>()
const FIELDS = [
  { key: 'litres', label: 'Water in the bag', unit: 'L' },
  { key: 'kg', label: 'Fish in it', unit: 'kg' },
  { key: 'hours', label: 'Closed for', unit: 'h' },
  { key: 'temp_c', label: 'Temperature', unit: '°C' },
  { key: 'ph', label: 'pH', unit: null },
  { key: 'tan_mg_l', label: 'Ammonia', unit: 'mg/L as N' },
  { key: 'kh', label: 'KH', unit: 'dKH' },
  { key: 'salinity_g_l', label: 'Salt', unit: 'g/L' },
  { key: 'no3_mg_l', label: 'Nitrate', unit: 'mg/L as NO₃' },
  { key: 'drip_l_min', label: 'My drip', unit: 'L/min' },
] as const
const typed = reactive<Record<string, string>>(Object.fromEntries(FIELDS.map(({ key }) => [key, ''])))
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, value]) => value.trim() !== ''))),
  300,
)
const query = useBag(() => props.system.slug, asked)
const bag = computed(() => query.data.value)
const told = computed(() => Object.keys(asked.value).length > 0)
</script>

<!-- A bag that is not in the book: what opening it does, and how the fish get from their water into this one. -->
<template>
  <p v-if="query.isError.value && !bag" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!bag" class="soft">Opening …</p>
  <template v-else>
    <p>
      Float the bag closed while you fill this in. What you measure counts; pH and ammonia that were not
      measured are reckoned from the fish and the hours.
    </p>
    <form class="fields" novalidate @submit.prevent>
      <TypedField
        v-for="field in FIELDS"
        :key="field.key"
        v-model="typed[field.key]!"
        :label="field.label"
        :unit="field.unit"
        :error="bag.errors[field.key]"
      />
    </form>
    <BagAnswer v-if="told" :bag="bag" :assumed-ph="!asked.ph" :assumed-tan="!asked.tan_mg_l" />
    <p v-if="told && !bag.turns && !bag.drip" class="soft">
      Give the litres of the bag and what was measured in it, and test this system, to compare the two waters.
    </p>
  </template>
</template>
