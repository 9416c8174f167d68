<script setup lang="ts">
import { useIntervalFn, useNow } from '@vueuse/core'
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import { useSession, useTimers } from '@/api/queries'
import type { Timer } from '@/api/types'
import { useSend } from '@/api/useSend'
import { beep } from '@/state/beep'

const timers = useTimers()
const session = useSession()
const now = useNow({ interval: 5_000 })
const BY: Record<string, string> = {
  oxygen: 'oxygen is dangerous',
  ammonia: 'ammonia is dangerous',
  filter: 'the filter goes foul',
}

const rows = computed(() =>
  (timers.data.value ?? []).map((timer) => {
    const gone = Math.max(0, (now.value.getTime() - new Date(timer.since).getTime()) / 60_000)
    const left = timer.minutes === null ? null : timer.minutes - gone
    const past = (minutes: number | null) => minutes !== null && gone >= minutes
    return {
      ...timer,
      gone: duration(gone),
      left: left === null ? null : duration(Math.max(0, left)),
      ahead: duration(Math.max(0, (timer.planned ?? 0) - gone)),
      state: past(timer.emergency_at) ? 'emergency' : past(timer.act_at) ? 'act' : 'watch',
    }
  }),
)
type Row = (typeof rows.value)[number]
function says(timer: Row): string {
  if (timer.kind === 'fish_in')
    return timer.state === 'watch'
      ? `in about ${timer.ahead}: ammonia reaches its trigger`
      : 'now: ammonia is at its trigger'
  if (timer.kind === 'stands')
    return timer.state === 'emergency'
      ? `${BY[timer.by ?? ''] ?? 'its time is over'} now: pump on, and air`
      : `${timer.left} until ${BY[timer.by ?? ''] ?? 'danger'}`
  if (timer.kind === 'bath')
    return timer.state === 'emergency'
      ? `the last safe minute is over: fish out now`
      : `${timer.left} left, ${timer.minutes} min at most`
  if (timer.kind === 'shut_off')
    return timer.left === null
      ? ''
      : timer.state === 'emergency'
        ? 'its time is over: open it, or give it air'
        : `${timer.left} left`
  if (timer.kind === 'drip')
    return timer.state === 'act' ? 'the waters are close enough: net them across' : `${timer.ahead} left`
  if (timer.kind === 'service')
    return `open for ${timer.gone}, planned for ${timer.planned} min${timer.state === 'act' ? ' and over' : ''}`
  if (timer.state === 'emergency') return `${BY[timer.by ?? ''] ?? 'its time is over'} now: pump on, and air`
  const over = timer.state === 'act' ? ' and over' : ''
  const left = timer.left === null ? '' : `; ${timer.left} until ${BY[timer.by ?? ''] ?? 'danger'}`
  return `planned for ${timer.planned} min${over}${left}`
}
const PAGES = {
  pump_off: 'water',
  bath: 'dose',
  shut_off: 'plumbing',
  fish_in: 'maturing',
  stands: 'system',
  service: 'service-run',
  drip: 'arrivals',
} as const
const page = (timer: Timer) => ({
  name: PAGES[timer.kind],
  params: { system: timer.system, ...(timer.kind === 'service' ? { run: timer.id } : {}) },
})
const flows = useSend((timer: Timer) =>
  answer(() =>
    api.PUT('/api/systems/{system}/changes/{id}/flow', {
      params: { path: { system: timer.system, id: timer.id } },
    }),
  ),
)

const on = useSend(
  (timer: Timer, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/switchings/{id}', {
        params: { path: { system: timer.system, id: key } },
        body: { part: timer.id, state: 'on', reason: 'flow seen' },
      }),
    ),
  undefined,
  (timer) => timer.id,
)

const out = useSend((timer: Timer) =>
  answer(() =>
    api.PUT('/api/systems/{system}/doses/{id}/end', {
      params: { path: { system: timer.system, id: timer.id } },
    }),
  ),
)

/** A bath whose time is over is heard as well as seen, until the fish are out. */
const over = computed(() => rows.value.some((timer) => timer.kind === 'bath' && timer.state === 'emergency'))
useIntervalFn(() => over.value && beep(), 2_000)

function duration(minutes: number): string {
  if (minutes < 90) return `${Math.floor(minutes)} min`
  return minutes < 48 * 60
    ? `${Math.floor(minutes / 60)} h ${Math.floor(minutes % 60)} min`
    : `${Math.floor(minutes / 1440)} days`
}
</script>

<!-- What is open and must not be forgotten, on every page. -->
<template>
  <p v-if="timers.isError.value && !timers.data.value" class="fault small" role="alert">
    What is open could not be read: {{ timers.error.value?.message }}
  </p>
  <ul v-if="rows.length" class="timers" aria-label="Open timers">
    <li v-for="timer in rows" :key="`${timer.kind} ${timer.id}`" :class="timer.state">
      <RouterLink :to="page(timer)"
        ><template v-if="timer.kind === 'pump_off'"
          ><b>Pump off</b> at {{ timer.system_name }} for {{ timer.gone }}</template
        ><template v-else-if="timer.kind === 'bath'"
          ><b>{{ timer.says }}</b> bath at {{ timer.system_name }} for {{ timer.gone }}</template
        ><template v-else-if="timer.kind === 'stands'"
          ><b>{{ timer.says }} off</b> at {{ timer.system_name }} for {{ timer.gone }}</template
        ><template v-else-if="timer.kind === 'drip'"
          ><b>{{ timer.says }}</b> dripping at {{ timer.system_name }} for {{ timer.gone }}</template
        ><template v-else-if="timer.kind === 'service'"
          ><b>{{ timer.says }}</b> at {{ timer.system_name }}</template
        ><template v-else-if="timer.kind === 'fish_in'"
          ><b>{{ timer.says }}</b> at {{ timer.system_name }}</template
        ><template v-else
          ><b>{{ timer.says }}</b> of {{ timer.system_name }} shut off for {{ timer.gone }}</template
        ></RouterLink
      >
      <span v-if="says(timer)">· {{ says(timer) }}</span>
      <button
        v-if="timer.kind === 'bath' && session.data.value?.person?.writes"
        type="button"
        class="seen"
        @click="out.send(timer)"
      >
        Fish are out
      </button>
      <button
        v-if="timer.kind === 'stands' && session.data.value?.person?.writes"
        type="button"
        class="seen"
        @click="on.send(timer)"
      >
        On, and flowing
      </button>
      <button
        v-if="timer.kind === 'pump_off' && session.data.value?.person?.writes"
        type="button"
        class="seen"
        @click="flows.send(timer)"
      >
        Flow seen
      </button>
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

.seen {
  padding: 0.15rem 0.7rem;
  margin-left: 0.6rem;
  border: 1px solid currentcolor;
  border-radius: 2px;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 700;
  cursor: pointer;
}
</style>
