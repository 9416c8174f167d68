<script setup lang="ts">
import { computed } from 'vue'
import { useLosses } from '@/api/queries'
import { figures } from '@/units/number'
import { day } from '@/units/time'

const query = useLosses()
const losses = computed(() => query.data.value)
const most = computed(() => Math.max(1, ...(losses.value?.months ?? []).map((one) => one.died)))
const month = (text: string) =>
  new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' }).format(
    new Date(`${text}-01T00:00:00Z`),
  )
const died = computed(() => (losses.value?.months ?? []).reduce((sum, one) => sum + one.died, 0))
const print = () => window.print()
/** Of a sequence of bars, 28 wide each, 80 high. */
const height = (value: number) => (80 * value) / most.value
</script>

<!-- Who survived: by month, system, source and shipment. -->
<template>
  <div class="page">
    <div class="page-head">
      <h1>Survival and losses</h1>
      <div class="no-print choice">
        <button type="button" class="link-button" @click="print">Print it</button>
        <a href="/api/losses.csv">CSV</a>
      </div>
    </div>
    <p v-if="query.isError.value" class="fault" role="alert">{{ query.error.value?.message }}</p>
    <p v-else-if="!losses" class="soft">Reading the book …</p>
    <template v-else>
      <p class="lead">{{ died === 0 ? 'No fish died' : `${died} fish died` }} in the last twelve months.</p>
      <section class="part" aria-label="By month">
        <h2>By month</h2>
        <svg
          viewBox="0 0 400 118"
          role="img"
          :aria-label="losses.months.map((one) => `${one.month}: ${one.died}`).join(', ')"
        >
          <g v-for="(one, i) in losses.months" :key="one.month" :transform="`translate(${8 + i * 32} 0)`">
            <rect class="bar" x="0" :y="96 - height(one.died)" width="22" :height="height(one.died)" />
            <text v-if="one.died" class="figure" x="11" :y="92 - height(one.died)">{{ one.died }}</text>
            <text x="11" y="111">{{ month(one.month) }}</text>
          </g>
          <line x1="4" y1="96.5" x2="392" y2="96.5" />
        </svg>
      </section>
      <section v-if="losses.shipments.length" class="part" aria-label="By shipment">
        <h2>By shipment</h2>
        <div class="wide" tabindex="0" role="group" aria-label="Shipments, a wide table">
          <table>
            <thead>
              <tr>
                <th scope="col">Arrived</th>
                <th scope="col">From</th>
                <th scope="col">Into</th>
                <th scope="col" class="n">Came</th>
                <th scope="col" class="n">Dead on arrival</th>
                <th scope="col" class="n">Died since</th>
                <th scope="col" class="n">Sold</th>
                <th scope="col" class="n">Alive</th>
                <th scope="col" class="n">Survived</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in losses.shipments" :key="one.id">
                <td>{{ day(one.on) }}</td>
                <th scope="row">{{ one.from_whom }}</th>
                <td>{{ one.system }}</td>
                <td class="n">{{ one.came }}</td>
                <td class="n">{{ one.dead_on_arrival }}</td>
                <td class="n">{{ one.died_since }}</td>
                <td class="n">{{ one.sold }}</td>
                <td class="n">{{ one.alive }}</td>
                <td class="n">{{ one.survived_pct === null ? '' : `${figures(one.survived_pct, 3)} %` }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <section v-if="losses.sources.length" class="part" aria-label="By source">
        <h2>By source</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">From</th>
              <th scope="col" class="n">Came</th>
              <th scope="col" class="n">Died</th>
              <th scope="col" class="n">Survived</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in losses.sources" :key="one.from_whom">
              <th scope="row">{{ one.from_whom }}</th>
              <td class="n">{{ one.came }}</td>
              <td class="n">{{ one.dead_on_arrival + one.died_since }}</td>
              <td class="n">{{ one.survived_pct === null ? '' : `${figures(one.survived_pct, 3)} %` }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="part" aria-label="By system">
        <h2>By system, twelve months</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">System</th>
              <th scope="col" class="n">Live there</th>
              <th scope="col" class="n">Died</th>
              <th scope="col" class="n">Sold</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in losses.systems" :key="one.slug">
              <th scope="row">
                <RouterLink :to="{ name: 'fish', params: { system: one.slug } }">{{ one.name }}</RouterLink>
              </th>
              <td class="n">{{ one.alive }}</td>
              <td class="n">{{ one.died }}</td>
              <td class="n">{{ one.sold }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 1.25rem;
  align-items: baseline;
}

svg {
  display: block;
  width: 100%;
  max-width: 44rem;
}

.bar {
  fill: var(--water);
}

line {
  stroke: var(--ink);
}

text {
  fill: var(--soft);
  font-size: 10px;
  text-anchor: middle;
}

.figure {
  fill: var(--ink);
  font-weight: 700;
}

.wide {
  overflow-x: auto;
}

.n {
  text-align: right;
}
</style>
