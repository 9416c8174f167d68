<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useSystems } from '@/api/queries'
import { samePage } from '@/ways/pages'
import StateMark from './StateMark.vue'

const route = useRoute()
const props = defineProps<{ filter?: string }>()
const systems = useSystems()
const shown = computed(() => {
  const wanted = (props.filter ?? '').trim().toLowerCase()
  return (systems.data.value ?? []).filter((system) => system.name.toLowerCase().includes(wanted))
})
</script>

<template>
  <nav aria-label="Systems">
    <p v-if="systems.isPending.value" class="soft pad">Loading the systems …</p>
    <p v-else-if="systems.isError.value" class="fault pad" role="alert">{{ systems.error.value?.message }}</p>
    <p v-else-if="!systems.data.value?.length" class="pad">
      No system yet. <RouterLink to="/begin">Set up the first one</RouterLink>.
    </p>
    <ul v-else>
      <li v-for="system in shown" :key="system.slug">
        <RouterLink
          :to="samePage(route.name, system.slug)"
          class="row"
          :class="[system.state, { here: route.params.system === system.slug }]"
        >
          <span class="name">{{ system.name }}</span>
          <StateMark :state="system.state" :asleep="system.asleep" />
          <span v-if="system.worst" class="worst small">{{ system.worst }}</span>
        </RouterLink>
      </li>
      <li v-if="!shown.length" class="soft pad">No system by that name.</li>
    </ul>
  </nav>
</template>

<style scoped>
.pad {
  padding: 0.75rem 1.25rem;
}

.row {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.1rem 0.5rem;
  padding: 0.7rem 1.25rem;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px solid var(--hair);
  border-left: 4px solid transparent;
}

.row:hover {
  background: var(--sheet);
}

.here {
  background: var(--sheet);
  border-left-color: var(--straw);
}

.name {
  font-weight: 700;
}

.worst {
  grid-column: 1 / -1;
  color: var(--soft);
}

.row.emergency {
  background: var(--rust);
  color: var(--paper);
}

.row.emergency .worst,
.row.emergency :deep(.mark) {
  color: var(--paper);
}
</style>
