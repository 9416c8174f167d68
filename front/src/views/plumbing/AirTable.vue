<script setup lang="ts">
import type { Plumbing } from '@/api/types'
import { figures } from '@/units/number'

defineProps<{ air: Plumbing['air'] }>()
const STATES = { open: 'open', shut: 'shut', none: '' }
</script>

<!-- Where the air of each pump comes out: valves that lead it elsewhere take it from the fish. -->
<template>
  <section v-if="air.length" class="part" aria-label="Air">
    <h2>Air</h2>
    <div
      v-for="pump in air"
      :key="pump.pump"
      class="scroll"
      tabindex="0"
      role="region"
      :aria-label="pump.pump"
    >
      <table>
        <thead>
          <tr>
            <th>{{ pump.pump }}<span v-if="!pump.running" class="fault"> off</span></th>
            <th>Comes out in</th>
            <th>Valve</th>
            <th class="num">L/min of air</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="outlet in pump.outlets" :key="outlet.id">
            <td>
              <b>{{ outlet.name }}</b>
            </td>
            <td class="soft">{{ outlet.to }}</td>
            <td>{{ STATES[outlet.state] }}</td>
            <td class="num">{{ figures(outlet.air_l_min, 3) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="!pump.outlets.some((outlet) => outlet.fish)" class="soft small">
        All of it goes into the filter.
      </p>
      <p v-else :class="pump.fish_l_min > 0 ? 'soft small' : 'caution'">
        {{ figures(pump.fish_l_min, 3) }} of {{ figures(pump.air_l_min, 3) }} L/min reach the fish.
      </p>
    </div>
  </section>
</template>
