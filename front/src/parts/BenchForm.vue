<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useBench } from '@/api/queries'
import type { System } from '@/api/types'
import BenchAnswer from './BenchAnswer.vue'
import BenchFields from './BenchFields.vue'

const props = defineProps<{ system: System; bench: string; hint?: string }>()
const typed = ref<Record<string, string>>({})
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed.value).filter(([, text]) => text.trim() !== ''))),
  250,
)
const answered = useBench(
  () => props.system.slug,
  () => props.bench,
  asked,
)
const found = computed(() => answered.data.value)
</script>

<!-- Something worked out for this system: the book fills in what it knows, and every number of the answer opens. -->
<template>
  <section class="part" :aria-label="found?.title ?? bench">
    <h2>{{ found?.title ?? '…' }}</h2>
    <p v-if="hint" class="soft small">{{ hint }}</p>
    <p v-if="answered.isError.value" class="fault" role="alert">{{ answered.error.value?.message }}</p>
    <form v-if="found" novalidate @submit.prevent>
      <BenchFields v-model="typed" :bench="found" />
      <BenchAnswer :bench="found" :measure="found.measure" />
    </form>
  </section>
</template>
