<script setup lang="ts">
import type { WaterPage } from '@/api/types'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'
import { whole } from './useWaterForm'
import { differenceOf, shownUnit, symbolOf, valueOf, wholeNumber } from '@/units/chosen'

defineProps<{ page: WaterPage; slug: string; error?: string }>()
const price = defineModel<string>({ required: true })
const one = (value: number | null) => (value === null ? '–' : figures(value, 2))
const cell = (text: string | null, unit: string) =>
  text === null ? '–' : shownUnit(unit) ? figures(valueOf(Number(text.replace(',', '')), unit)) : text
</script>

<!-- What each school of changing water would come to in sixty days, side by side. -->
<template>
  <section class="part" aria-label="Schools of change">
    <h2>Schools side by side, sixty days on</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Schools of changing water">
      <table>
        <thead>
          <tr>
            <th>School</th>
            <th class="num">a week, %</th>
            <th class="num">Nitrate, {{ symbolOf('mg/L as NO₃') }}</th>
            <th class="num">jumps by</th>
            <th class="num">KH, {{ symbolOf('dKH') }}</th>
            <th class="num">GH, {{ symbolOf('dGH') }}</th>
            <th class="num">colder by, {{ symbolOf('°C') }}</th>
            <th class="num">Water, {{ symbolOf('L') }}</th>
            <th v-if="price" class="num">costs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in page.schools" :key="row.id" :class="{ followed: row.followed }">
            <th>{{ row.name }}<span v-if="row.followed" class="small"> followed here</span></th>
            <td class="num">{{ whole(row.pct_week) }}</td>
            <td class="num">
              <b>{{ cell(row.nitrate, 'mg/L as NO₃') }}</b>
            </td>
            <td class="num">{{ cell(row.nitrate_jump, 'mg/L as NO₃') }}</td>
            <td class="num">{{ cell(row.kh, 'dKH') }}</td>
            <td class="num">{{ cell(row.gh, 'dGH') }}</td>
            <td class="num">{{ row.temp_drop_c ? one(differenceOf(row.temp_drop_c, '°C')) : '–' }}</td>
            <td class="num">{{ wholeNumber(row.water_l, 'L') }}</td>
            <td v-if="price" class="num">{{ one(row.cost) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="fields">
      <TypedField v-model="price" label="Water costs" unit="a m³" :error="error" /><RouterLink
        class="small"
        :to="{ name: 'limits', params: { system: slug } }"
        >Follow another school</RouterLink
      >
    </div>
    <p class="soft small">
      From the water as it is now, with feed and fish held. Evaporation of 2 mm a day is assumed and topped
      up; top-up takes nothing out.
    </p>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

.followed th {
  font-weight: 700;
}

.num {
  text-align: right;
}
</style>
