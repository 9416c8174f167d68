<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router'
import { useSystems } from '@/api/queries'
import { samePage } from '@/ways/pages'

const route = useRoute()
const router = useRouter()
const { data: systems } = useSystems()

function open(event: Event): void {
  const slug = (event.target as HTMLSelectElement).value
  void router.push(slug ? samePage(route.name, slug) : '/')
}
</script>

<!-- On a phone: from one system to another, on the page that is open. -->
<template>
  <select :value="route.params.system ?? ''" aria-label="System" @change="open">
    <option value="">Round</option>
    <option v-for="system in systems ?? []" :key="system.slug" :value="system.slug">
      {{ system.name }}{{ system.state && system.state !== 'good' ? `: ${system.state}` : '' }}
    </option>
  </select>
</template>

<style scoped>
select {
  font: inherit;
  min-height: 44px;
  max-width: 60%;
  padding: 0 0.5rem;
  margin-right: 0.5rem;
  color: var(--ink);
  background: var(--paper);
  border: 0;
}
</style>
