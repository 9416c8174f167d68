<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { queryClient, useCalendar } from '@/api/queries'
import type { Calendar } from '@/api/types'

type Item = Calendar['late'][number]
const calendar = useCalendar()
const url = ref<string | null>(null)
const PAGES = {
  test: 'test',
  service: 'service',
  dose: 'course',
  quarantine: 'fish',
  expiry: 'shelf',
} as const
const page = (item: Item) =>
  item.system === null ? { name: 'shelf' } : { name: PAGES[item.kind], params: { system: item.system } }
const busy = computed(() => (calendar.data.value?.days ?? []).filter((day) => day.items.length > 0))
const day = (text: string, n: number) =>
  n === 0 && text === calendar.data.value?.days[0]?.day
    ? 'Today'
    : new Intl.DateTimeFormat('en-GB', {
        weekday: 'long',
        day: 'numeric',
        month: 'long',
        timeZone: 'UTC',
      }).format(new Date(`${text}T12:00:00Z`))
const refresh = () => queryClient.invalidateQueries({ queryKey: ['calendar'] })
const open = useMutation({
  mutationFn: () => answer(() => api.POST('/api/calendar/feed')),
  onSuccess: async (made) => {
    url.value = made.url
    await refresh()
  },
})
const close = useMutation({
  mutationFn: () => answer(() => api.DELETE('/api/calendar/feed')),
  onSuccess: async () => {
    url.value = null
    await refresh()
  },
})
const print = () => window.print()
</script>

<!-- All that is due: what is over, then a fortnight day by day; for the shed on paper, and as a feed. -->
<template>
  <div class="page">
    <div class="page-head">
      <h1>Calendar</h1>
      <button type="button" class="link-button no-print" @click="print">Print it</button>
    </div>
    <p v-if="calendar.isError.value" class="fault" role="alert">{{ calendar.error.value?.message }}</p>
    <p v-else-if="!calendar.data.value" class="soft">Opening …</p>
    <template v-else>
      <section v-if="calendar.data.value.late.length" class="day late" aria-label="Late">
        <h2>Late</h2>
        <ul class="rows">
          <li v-for="item in calendar.data.value.late" :key="item.system_name + item.text">
            <RouterLink :to="page(item)">{{ item.text }}</RouterLink>
            <span class="soft"> {{ item.system_name }}</span>
          </li>
        </ul>
      </section>
      <section v-for="(one, n) in busy" :key="one.day" class="day" :aria-label="day(one.day, n)">
        <h2>{{ day(one.day, n) }}</h2>
        <ul class="rows">
          <li v-for="item in one.items" :key="item.system_name + item.text">
            <RouterLink :to="page(item)">{{ item.text }}</RouterLink>
            <span class="soft"> {{ item.system_name }}</span>
          </li>
        </ul>
      </section>
      <p v-if="!busy.length && !calendar.data.value.late.length" class="lead">
        Nothing is due within a fortnight.
      </p>

      <section class="part no-print" aria-label="In your own calendar">
        <h2>In your own calendar</h2>
        <p v-if="url">
          Follow this address. It is shown only now, and whoever has it can read what is due here:<br />
          <code class="address">{{ url }}</code>
        </p>
        <p class="links">
          <button type="button" class="link-button" :disabled="open.isPending.value" @click="open.mutate()">
            {{
              calendar.data.value.followed ? 'A new address; the old one ends' : 'Make an address to follow'
            }}
          </button>
          <button
            v-if="calendar.data.value.followed"
            type="button"
            class="link-button"
            :disabled="close.isPending.value"
            @click="close.mutate()"
          >
            Take it back
          </button>
        </p>
        <p v-if="open.error.value ?? close.error.value" class="fault" role="alert">
          {{ (open.error.value ?? close.error.value)?.message }}
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.day {
  margin-top: 1.25rem;
  max-width: 46rem;
}

.late h2 {
  color: var(--rust-ink);
}

.address {
  display: inline-block;
  margin-top: 0.4rem;
  overflow-wrap: anywhere;
}

.links {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
}

.day li {
  min-height: 2.2rem;
}
</style>
