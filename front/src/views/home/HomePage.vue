<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { useSystems } from '@/api/queries'
import type { SystemLine } from '@/api/types'
import StateMark from '@/parts/StateMark.vue'
import SystemList from '@/parts/SystemList.vue'

const systems = useSystems()
const narrow = useMediaQuery('(max-width: 720px)')
const order = ['emergency', 'act', 'watch', 'good'] as const
const groups = computed(() =>
  [...order, null]
    .map((state) => ({
      state,
      asleep: false,
      systems: (systems.data.value ?? []).filter(
        (system: SystemLine) => system.state === state && !system.asleep,
      ),
    }))
    .concat({
      state: null,
      asleep: true,
      systems: (systems.data.value ?? []).filter((system: SystemLine) => system.asleep),
    })
    .filter((group) => group.systems.length),
)
const wrong = computed(
  () =>
    (systems.data.value ?? []).filter((system) => system.state !== null && system.state !== 'good').length,
)
const late = (system: SystemLine) =>
  system.due.filter((test) => test.stands === 'late').map((test) => test.name)
const total = computed(() => systems.data.value?.length ?? 0)
</script>

<template>
  <SystemList v-if="narrow" />
  <div v-else class="page">
    <div class="page-head">
      <h1 v-if="!total">Ironwort</h1>
      <h1 v-else-if="wrong">
        {{ wrong }} of {{ total }} {{ total === 1 ? 'system' : 'systems' }} to look at
      </h1>
      <h1 v-else>All is well, as last tested</h1>
      <RouterLink v-if="total" to="/round">Walk the round</RouterLink>
    </div>
    <p v-if="systems.isSuccess.value && !total">
      Nothing is described yet. <RouterLink to="/new">Describe the first system</RouterLink>: what it is for,
      its vessels, its filter, its fish.
    </p>
    <section v-for="group in groups" :key="`${group.state} ${group.asleep}`" class="group">
      <h2><StateMark :state="group.state" :asleep="group.asleep" /></h2>
      <ul>
        <li v-for="system in group.systems" :key="system.slug">
          <RouterLink :to="`/${system.slug}`" class="name">{{ system.name }}</RouterLink>
          <span
            >{{
              system.asleep
                ? 'Asleep: wake it on its Build page.'
                : (system.worst ??
                  (system.state ? 'Every reading is within its limits.' : 'Nothing is tested yet.'))
            }}<span v-if="late(system).length" class="soft small">{{
              ` Late to test: ${late(system).join(', ')}.`
            }}</span></span
          >
          <RouterLink :to="`/${system.slug}/test`" class="small" :aria-label="`Test ${system.name}`"
            >Test</RouterLink
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  border-top: 1px solid var(--hair);
  padding: 0.6rem 0;
}

h2 {
  padding: 0.4rem 0;
}

li {
  display: grid;
  grid-template-columns: 10rem minmax(0, 1fr) auto;
  gap: 1rem;
  align-items: baseline;
  padding: 0.4rem 0;
}

.name {
  font-size: 1.15rem;
  font-weight: 700;
  text-decoration: none;
}
</style>
