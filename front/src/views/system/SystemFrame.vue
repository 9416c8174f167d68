<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useSystem } from '@/api/queries'
import StateMark from '@/parts/StateMark.vue'

const route = useRoute()
const slug = computed(() => String(route.params.system))
const system = useSystem(slug)
const TABS = [
  ['system', 'System'],
  ['test', 'Test'],
  ['book', 'Book'],
  ['capacity', 'Capacity'],
  ['maturing', 'Maturing'],
  ['fish', 'Fish'],
  ['water', 'Water'],
  ['dose', 'Dose'],
  ['plumbing', 'Plumbing'],
  ['build', 'Build'],
] as const
/** A start has a page of its own beside the others; in a grown system Capacity leads to it. */
const starting = computed(
  () => system.data.value?.kind === 'start' || system.data.value?.life_stage === 'starting',
)
const tabs = computed(() => TABS.filter(([name]) => name !== 'maturing' || starting.value))
</script>

<!-- What every page of one system shares: its name, how it stands, and the way to its other pages. -->
<template>
  <div class="page">
    <template v-if="system.data.value">
      <div class="page-head no-print">
        <h1>{{ system.data.value.name }}</h1>
        <StateMark
          :state="system.data.value.asleep ? null : system.data.value.water.state"
          :asleep="system.data.value.asleep !== null"
        />
        <nav class="tabs" aria-label="Pages of this system">
          <RouterLink
            v-for="[name, label] in tabs"
            :key="name"
            :to="{ name, params: { system: slug } }"
            :class="{
              here:
                (route.meta.tab === name && route.name !== 'maturing') ||
                (route.name === 'maturing' && name === 'capacity' && !starting),
            }"
            :aria-current="route.name === name ? 'page' : undefined"
            >{{ label }}</RouterLink
          >
        </nav>
      </div>
      <RouterView :key="slug" :system="system.data.value" />
    </template>
    <p v-else-if="system.isError.value" class="fault" role="alert">
      {{ system.error.value?.message }} <RouterLink to="/">All systems</RouterLink>
    </p>
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
