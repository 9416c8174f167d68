<script setup lang="ts">
import { computed } from 'vue'
import { useYear } from '@/api/queries'
import type { System } from '@/api/types'
import { quantity, whole } from '@/units/chosen'
import { figures } from '@/units/number'

const props = defineProps<{ system: System }>()
const page = useYear(() => props.system.slug)
const SEASONS = { spring: 'Spring', summer: 'Summer', autumn: 'Autumn', winter: 'Winter' } as const
const FROM = { measured: 'as measured last year', assumed: 'assumed, by latitude' } as const
const name = (month: string) =>
  new Date(`${month}-15T12:00:00Z`).toLocaleDateString('en-GB', { month: 'long', year: 'numeric' })
const blank = computed(() => page.data.value?.months.every((month) => month.temp_c === null) ?? false)
</script>

<!-- The year of a system: its water month by month, what is fed in it, what is done in each season. -->
<template>
  <p v-if="page.isError.value" class="fault" role="alert">{{ page.error.value?.message }}</p>
  <p v-else-if="!page.data.value" class="soft">Opening …</p>
  <template v-else>
    <p class="small">
      <RouterLink :to="{ name: 'service', params: { system: system.slug } }">Service</RouterLink>
    </p>
    <h2>The year</h2>
    <p v-if="page.data.value.season" class="lead">By its water it is {{ page.data.value.season }} now.</p>
    <p v-if="blank">
      <template v-if="page.data.value.outdoors && page.data.value.latitude_deg === null"
        >Nothing is known of its water through the year. Give the latitude of your place under
        <RouterLink :to="{ name: 'you' }">You</RouterLink>, or test its temperature.</template
      >
      <template v-else>Its temperature was not read often enough to tell its year. Test it.</template>
    </p>
    <div v-else class="scroll" tabindex="0" role="region" aria-label="Month by month">
      <table>
        <thead>
          <tr>
            <th>Month</th>
            <th class="num">Water</th>
            <th>Feed</th>
            <th class="num">By the ration table</th>
            <th class="num">Service every</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="month in page.data.value.months" :key="month.month">
            <th scope="row">{{ name(month.month) }}</th>
            <template v-if="month.temp_c !== null">
              <td class="num">{{ quantity(month.temp_c, '°C', 2) }}</td>
              <td>{{ month.feed }}</td>
              <td class="num">{{ month.feed_g_d === null ? '' : `${whole(month.feed_g_d, 'g')} a day` }}</td>
              <td class="num">
                {{ month.intervals === 1 ? 'usual days' : `${figures(month.intervals, 2)} × usual` }}
              </td>
              <td class="soft small">{{ month.from === null ? '' : FROM[month.from] }}</td>
            </template>
            <td v-else colspan="5" class="soft">not known</td>
          </tr>
        </tbody>
      </table>
    </div>
    <section class="part" aria-label="Season by season">
      <h2>Season by season</h2>
      <p class="soft small">
        Asked for when the water of a pond says so, not by the date.
        <RouterLink :to="{ name: 'limits', params: { system: system.slug } }">Limits and schools</RouterLink>
      </p>
      <div class="seasons">
        <div v-for="season in page.data.value.seasons" :key="season.id">
          <h3>
            {{ SEASONS[season.id] }}<template v-if="season.id === page.data.value.season">, now</template>
          </h3>
          <ul>
            <li v-for="job in season.jobs" :key="job.id">
              {{ job.name
              }}<span v-for="one in job.not" :key="one.code" class="soft small"><br />{{ one.text }}</span>
            </li>
          </ul>
        </div>
      </div>
    </section>
  </template>
</template>

<style scoped>
tbody th,
td {
  vertical-align: top;
}

.num,
tbody th {
  white-space: nowrap;
}

h3 {
  font-size: 1rem;
}

.seasons {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
  gap: 0 2rem;
}

.seasons ul {
  padding-left: 1.1rem;
}

.seasons li {
  padding: 0.15rem 0;
}
</style>
