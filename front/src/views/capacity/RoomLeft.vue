<script setup lang="ts">
import { computed } from 'vue'
import type { Capacity, Room } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { figures } from '@/units/number'
import { quantity, symbolOf, whole, wholeNumber } from '@/units/chosen'

const props = defineProps<{ room: Room; steps: Capacity['steps']; fishNow: number }>()

const number = (value: number) => figures(Math.abs(value) < 0.5 ? 0 : Math.round(value))
/** What is far beyond any keeping is said as such. */
const much = (value: number | null, most: number) =>
  value === null ? '—' : value > most ? 'plenty' : number(value)
const feed = (value: number | null) =>
  value === null ? '—' : value > 20000 ? 'plenty' : wholeNumber(Math.abs(value) < 0.5 ? 0 : value, 'g/day')
const short = computed(() => props.room.fish_now.value < 0)
const sentence = computed(() => {
  const { room } = props
  const fish = `${number(Math.abs(room.fish_now.value))} koi of ${number(room.length_cm)} cm`
  const feed = `${whole(Math.abs(room.feed_now.value), 'g')} of feed a day`
  if (room.change_more)
    return `Change more water, or feed ${feed} less: at today’s changes nitrate settles past its limit.`
  if (short.value)
    return `${fish} too many: move them, or feed ${feed} less. ${room.first} is past its limit.`
  const later =
    room.fish_grown.value > room.fish_now.value ? `, ${number(room.fish_grown.value)} if added in steps` : ''
  const now = room.fish_now.value < 0.5 ? 'No room for more koi now' : `Room for ${fish} more now`
  return `${now}${later}. ${room.first} is the first limit.`
})
</script>

<template>
  <section aria-label="Room left">
    <p class="verdict">{{ sentence }}</p>
    <table class="room">
      <caption class="soft small">
        Room until each limit is reached: more feed for the same fish, or more fish of
        {{
          number(room.length_cm)
        }}
        cm at the same ration.
      </caption>
      <thead>
        <tr>
          <th>Limit</th>
          <th class="num">More feed now, {{ symbolOf('g/day') }}</th>
          <th class="num">More fish now</th>
          <th class="num">More feed in steps, {{ symbolOf('g/day') }}</th>
          <th class="num">More fish in steps</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in room.limits" :key="row.limit" :class="{ first: row.name === room.first }">
          <td>
            <b>{{ row.name }}</b><span v-if="row.name === room.first" class="soft small"> first</span>
          </td>
          <td class="num">{{ feed(row.feed_now) }}</td>
          <td class="num">{{ much(row.fish_now, 2000) }}</td>
          <td class="num">{{ feed(row.feed_grown) }}</td>
          <td class="num">{{ much(row.fish_grown, 2000) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="room.kept_back_pct" class="soft small">
      {{ number(room.kept_back_pct) }} % of what the filter can take is kept back, by the school followed
      here.
    </p>
    <p class="soft small">
      Worked out: <FigureButton :figure="room.feed_now" /> at once,
      <FigureButton :figure="room.feed_grown" /> in steps.
    </p>
    <p v-if="steps.length > 1" class="steps">
      In steps:
      <template v-for="(step, i) in steps" :key="step.day"
        ><template v-if="i">, then </template><b>{{ quantity(step.feed_g_d, 'g/d') }}</b>
        {{ step.day === 0 ? 'now' : `after ${number(step.day)} days` }}</template
      >. Test ammonia and nitrite before each.
    </p>
  </section>
</template>

<style scoped>
section {
  margin: 2rem 0;
}

.verdict {
  font-size: 1.25rem;
  font-weight: 700;
  max-width: 48rem;
  margin-bottom: 0.75rem;
}

.room {
  max-width: 46rem;
}

caption {
  text-align: left;
  padding-bottom: 0.25rem;
}

.first td {
  border-bottom-color: var(--straw);
}

.steps {
  margin-top: 0.6rem;
}
</style>
