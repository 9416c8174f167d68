<script setup lang="ts">
import { computed } from 'vue'
import type { Maturing, System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { clock, day } from '@/units/time'

const props = defineProps<{ system: System; start: NonNullable<Maturing['fish_in']> }>()
const due = computed(
  () => props.start.change_at !== null && new Date(props.start.change_at).getTime() <= Date.now(),
)
const round = (hours: number) => Math.round(hours)
</script>

<!-- Fish stand in a filter that has not grown to them: when to change water, how much, and how much to feed. -->
<template>
  <section class="part fish-in" aria-label="Fish in a young filter">
    <h2>Fish in a young filter, since {{ day(start.since) }}</h2>
    <p v-if="start.hours && start.change && start.trigger" class="ready">
      <template v-if="due"
        >Change <FigureButton :figure="start.change" /> now: ammonia is at its trigger.</template
      >
      <template v-else
        >Change <FigureButton :figure="start.change" /> in about
        <FigureButton :figure="start.hours" /><template v-if="start.change_at"
          >, {{ clock(start.change_at) }}</template
        >: ammonia reaches <FigureButton :figure="start.trigger" /> then.</template
      >
    </p>
    <p v-else-if="start.change" class="ready">
      The filter takes the whole load: no change is due for ammonia.
    </p>
    <p v-if="start.ceiling">Feed at most <FigureButton :figure="start.ceiling" /> for now.</p>
    <p v-for="one in start.says" :key="one.code" class="caution">{{ one.text }}</p>
    <ul class="rows">
      <li v-for="row in start.days" :key="row.day">
        <b>Day {{ row.day }}</b>
        <span
          >{{
            row.changes_at_h.length
              ? `change after ${row.changes_at_h.map(round).join(' h, ')} h`
              : 'no change'
          }}; ammonia up to {{ row.tan_max_mg_l.toFixed(2) }} mg/L</span
        >
      </li>
    </ul>
    <p class="soft small">
      By the schools followed here: {{ start.schools.join(' ') }}
      <RouterLink :to="{ name: 'limits', params: { system: system.slug } }">Change them</RouterLink>
    </p>
    <p class="links">
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test</RouterLink>
      <RouterLink
        :to="{
          name: 'water',
          params: { system: system.slug },
          query: start.change ? { change_l: String(Math.round(start.change.value)) } : {},
        }"
        >Change water</RouterLink
      >
    </p>
  </section>
</template>

<style scoped>
.fish-in {
  padding-left: 0.9rem;
  border-left: 4px solid var(--straw);
}

.ready {
  font-size: 1.35rem;
}

.links {
  display: flex;
  gap: 1.5rem;
  margin-top: 0.6rem;
}
</style>
