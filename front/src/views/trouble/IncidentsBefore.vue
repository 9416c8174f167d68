<script setup lang="ts">
import { computed } from 'vue'
import { useIncidents } from '@/api/queries'
import type { System } from '@/api/types'
import { clock } from '@/units/time'

const props = defineProps<{ system: System }>()
const query = useIncidents(() => props.system.slug)
const ended = computed(() => (query.data.value ?? []).filter((one) => one.ended_at))
</script>

<!-- Incidents that have ended, each with its page. -->
<template>
  <p class="card">
    <RouterLink :to="{ name: 'card', params: { system: system.slug } }">Emergency card</RouterLink>
    <span class="soft small"> to hang on the wall and keep on the phone</span>
  </p>
  <section v-if="ended.length" class="part" aria-label="Incidents before">
    <h2>Incidents before</h2>
    <ul class="rows">
      <li v-for="one in ended" :key="one.id">
        <RouterLink :to="{ name: 'incident', params: { system: system.slug, incident: one.id } }">{{
          clock(one.opened_at)
        }}</RouterLink>
        <span>{{ one.event }}</span>
        <span class="soft">{{ one.cause }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.card {
  margin-top: 1.25rem;
}
</style>
