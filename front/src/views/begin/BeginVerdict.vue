<script setup lang="ts">
import { computed } from 'vue'
import type { System } from '@/api/types'
import TodayHere from '@/parts/answer/TodayHere.vue'
import { useToday } from '@/parts/answer/useToday'
import StateMark from '@/parts/StateMark.vue'

const props = defineProps<{ system: System }>()
const today = useToday(() => props.system.slug, ['water', 'dose', 'buffer', 'test'])
const assumed = computed(() => props.system.capacity.gap?.text ?? props.system.capacity.living?.asks?.text)
</script>

<!-- The first verdict: how the water stands, what the filter carries, what to do, and what to complete next. -->
<template>
  <section aria-label="Verdict">
    <p class="lead">
      <StateMark v-if="system.water.state" :state="system.water.state" />
      <b v-if="system.water.state">{{ system.water.worst ?? 'Every reading is within its limits.' }}</b>
      <b v-else>Nothing was tested yet.</b>
    </p>
    <p class="lead">
      <StateMark v-if="system.capacity.state" :state="system.capacity.state" quiet />
      {{ system.capacity.sentence }}
    </p>
    <p v-if="assumed" class="caution">{{ assumed }}</p>
    <TodayHere
      v-if="today.steps.value.length || today.fault.value"
      :slug="system.slug"
      :steps="today.steps.value"
      :causes="today.causes.value"
      :fault="today.fault.value"
    />
  </section>
  <section class="part" aria-label="Next">
    <h2>Next</h2>
    <ul class="rows">
      <li>
        <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Build</RouterLink> Enter your own
        measures, filter media, pumps and air: every dose goes by the volume.
      </li>
      <li>
        <RouterLink to="/shelf">Shelf</RouterLink> Enter your kits and products: doses follow their labels.
      </li>
      <li>
        <RouterLink :to="{ name: 'limits', params: { system: system.slug } }">Limits and schools</RouterLink>
        Choose how you work where keepers differ.
      </li>
      <li><RouterLink to="/">Round</RouterLink> What is due, every day.</li>
    </ul>
  </section>
</template>
