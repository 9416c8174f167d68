<script setup lang="ts">
import type { Maturing, System } from '@/api/types'

/** What a keeper does until the filter is ready, and the pages it is done on. */
defineProps<{ system: System; start: Maturing }>()
</script>

<template>
  <section class="until" aria-label="What to do">
    <h2>What to do until then</h2>
    <ul class="rows">
      <li v-for="one in start.does" :key="one.code">{{ one.text }}</li>
    </ul>
    <p class="links">
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test</RouterLink>
      <RouterLink
        v-if="!system.fish_count"
        :to="{ name: 'dose', params: { system: system.slug }, query: { thing: 'ammonium' } }"
        >Dose ammonia</RouterLink
      >
      <RouterLink :to="{ name: 'buffer', params: { system: system.slug } }">Buffer KH</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.until h2 {
  margin-top: 0.8rem;
}

.links {
  display: flex;
  gap: 1.5rem;
  margin-top: 0.6rem;
}
</style>
