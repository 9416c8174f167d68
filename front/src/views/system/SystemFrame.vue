<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useSystem } from '@/api/queries'
import StateMark from '@/parts/StateMark.vue'

const route = useRoute()
const slug = computed(() => String(route.params.system))
const system = useSystem(slug)
</script>

<!-- What every page of one system shares: its name, how it stands, and the way to its other pages. -->
<template>
  <div class="page">
    <template v-if="system.data.value">
      <div class="page-head no-print">
        <h1>{{ system.data.value.name }}</h1>
        <StateMark :state="system.data.value.asleep ? null : system.data.value.water.state" :asleep="system.data.value.asleep !== null" />
        <nav class="tabs" aria-label="Pages of this system">
          <RouterLink :to="{ name: 'system', params: { system: slug } }">System</RouterLink>
          <RouterLink :to="{ name: 'test', params: { system: slug } }">Test</RouterLink>
          <RouterLink :to="{ name: 'book', params: { system: slug } }">Book</RouterLink>
          <RouterLink :to="{ name: 'capacity', params: { system: slug } }">Capacity</RouterLink>
          <RouterLink :to="{ name: 'fish', params: { system: slug } }">Fish</RouterLink>
          <RouterLink :to="{ name: 'water', params: { system: slug } }">Water</RouterLink>
          <RouterLink :to="{ name: 'dose', params: { system: slug } }">Dose</RouterLink>
          <RouterLink :to="{ name: 'plumbing', params: { system: slug } }">Plumbing</RouterLink>
          <RouterLink :to="{ name: 'build', params: { system: slug } }">Build</RouterLink>
        </nav>
      </div>
      <RouterView :key="slug" :system="system.data.value" />
    </template>
    <p v-else-if="system.isError.value" class="fault" role="alert">{{ system.error.value?.message }} <RouterLink to="/">All systems</RouterLink></p>
    <p v-else class="soft">Opening …</p>
  </div>
</template>

<style scoped>
.tabs {
  margin-left: auto;
}

@media (max-width: 720px) {
  .tabs {
    margin-left: 0;
    width: 100%;
  }
}
</style>
