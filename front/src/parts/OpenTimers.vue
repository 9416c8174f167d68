<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useTimers } from '@/api/queries'

const timers = useTimers()
const now = useNow({ interval: 10_000 })

const rows = computed(() =>
  (timers.data.value ?? []).map((timer) => {
    const gone = Math.max(0, (now.value.getTime() - new Date(timer.since).getTime()) / 60_000)
    const left = timer.minutes === null ? null : timer.minutes - gone
    return { ...timer, gone: duration(gone), left: left === null ? null : duration(Math.max(0, left)), state: left === null ? 'watch' : left <= 0 ? 'emergency' : left <= 0.5 * (timer.minutes ?? 0) ? 'act' : 'watch' }
  }),
)

function duration(minutes: number): string {
  if (minutes < 90) return `${Math.floor(minutes)} min`
  return minutes < 48 * 60 ? `${Math.floor(minutes / 60)} h ${Math.floor(minutes % 60)} min` : `${Math.floor(minutes / 1440)} days`
}
</script>

<!-- What is open and must not be forgotten, on every page. -->
<template>
  <ul v-if="rows.length" class="timers" aria-label="Open timers">
    <li v-for="timer in rows" :key="`${timer.kind} ${timer.system} ${timer.name}`" :class="timer.state">
      <RouterLink :to="{ name: 'plumbing', params: { system: timer.system } }"><b>{{ timer.name }}</b> of {{ timer.system_name }} shut off for {{ timer.gone }}</RouterLink>
      <span v-if="timer.left !== null"> · {{ timer.state === 'emergency' ? 'its time is over: open it, or give it air' : `${timer.left} left` }}</span>
    </li>
  </ul>
</template>

<style scoped>
.timers {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.5rem;
}

li {
  padding-left: 0.6rem;
  border-left: 3px solid var(--straw);
}

.act {
  border-left-color: var(--rust);
}

.emergency {
  padding: 0.1rem 0.6rem;
  border-left: 0;
  background: var(--rust);
  color: #fff;
}

.emergency a {
  color: inherit;
}
</style>
