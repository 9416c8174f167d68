<script setup lang="ts">
import type { System } from '@/api/types'

defineProps<{ system: System }>()
</script>

<!-- The ways into the water of a system. -->
<template>
  <nav class="tabs ways small" aria-label="Water">
    <RouterLink :to="{ name: 'water', params: { system: system.slug } }">Change it</RouterLink>
    <RouterLink :to="{ name: 'trickle', params: { system: system.slug } }">Trickle and heat</RouterLink>
    <RouterLink :to="{ name: 'make-water', params: { system: system.slug } }">Make new water</RouterLink>
    <RouterLink :to="{ name: 'buffer', params: { system: system.slug } }">KH, GH and pH</RouterLink>
  </nav>
  <RouterView :system="system" />
</template>

<style scoped>
.ways {
  flex-wrap: wrap;
  gap: 0 1.5rem;
  margin-bottom: 0.75rem;
}
</style>
