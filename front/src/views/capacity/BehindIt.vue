<script setup lang="ts">
import { computed } from 'vue'
import type { Filter, System, Vocabulary } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { figures } from '@/units/number'
import DirtTable from './DirtTable.vue'
import FilterMeasured from './FilterMeasured.vue'
import SetbackList from './SetbackList.vue'
import { symbolOf, valueOf } from '@/units/chosen'

const props = defineProps<{
  system: System
  filter: Filter
  words: Vocabulary | undefined
  writes: boolean
}>()

const number = (value: number | null, digits = 3) => (value === null ? '' : figures(value, digits))
const weakest = computed(
  () =>
    [...props.filter.oxygen.devices]
      .filter((device) => device.on)
      .sort((a, b) => a.do_dawn_without_mg_l - b.do_dawn_without_mg_l)[0],
)
const medium = (id: string) => props.words?.media.find((row) => row.id === id)?.name ?? id
const kind = (id: string) => props.words?.stage_kinds.find((row) => row.id === id)?.name ?? id
</script>

<template>
  <section class="part" aria-label="Load in full">
    <h2>Load in a day</h2>
    <dl class="figures">
      <div v-for="figure in filter.loads" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" /></dd>
      </div>
    </dl>
  </section>

  <section class="part" aria-label="Oxygen">
    <h2>Oxygen, by estimate</h2>
    <dl class="figures">
      <div v-for="figure in filter.oxygen.figures" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" /></dd>
      </div>
    </dl>
    <p v-if="weakest">
      If <b>{{ weakest.name }}</b> fails, dawn would stand at
      {{ number(weakest.do_dawn_without_mg_l, 2) }} mg/L.
    </p>
    <p v-for="bed in filter.oxygen.diverted" :key="bed.outlet">
      While all {{ number(bed.air_l_min, 3) }} L/min of air are led to <b>{{ bed.to }}</b> the fish lose
      {{ number(bed.fish_l_min, 3) }} L/min of it: oxygen stands at {{ number(bed.after_mg_l, 2) }} mg/L after
      half an hour by day, and settles at <FigureButton :figure="bed.settles" />.
    </p>
    <p v-for="one in filter.oxygen.says" :key="one.code" class="caution">{{ one.text }}</p>
    <div
      v-if="filter.oxygen.devices.length"
      class="scroll"
      tabindex="0"
      role="region"
      aria-label="Sources of oxygen"
    >
      <table>
        <thead>
          <tr>
            <th>Source of oxygen</th>
            <th class="num">Supply at dawn, g O₂/h</th>
            <th class="num">At dawn without it, mg/L</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="device in filter.oxygen.devices" :key="device.name">
            <td>
              <b>{{ device.name }}</b><span v-if="!device.on" class="fault"> off</span>
            </td>
            <td class="num">{{ number(1000 * device.gives_kg_h, 2) }}</td>
            <td class="num">{{ number(device.do_dawn_without_mg_l, 2) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>

  <DirtTable v-if="filter.dirt.length" :system="system" :filter="filter" :writes="writes" />

  <section v-if="filter.nitrate.length" class="part" aria-label="Nitrate">
    <h2>Where nitrate goes</h2>
    <dl class="figures">
      <div v-for="figure in filter.nitrate" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" /></dd>
      </div>
    </dl>
  </section>

  <FilterMeasured :system="system" :filter="filter" :writes="writes" />
  <SetbackList :system="system" :filter="filter" :writes="writes" />

  <section class="part" aria-label="Sizing">
    <h2>What these fish would need</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="What these fish would need">
      <table>
        <thead>
          <tr>
            <th>Type of medium</th>
            <th class="num">Medium, {{ symbolOf('L') }}</th>
            <th class="num">Flow, {{ symbolOf('L/h') }}</th>
            <th class="num">Air in it, L/min</th>
            <th class="num">Room, m²</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in filter.size.rows" :key="row.kind + row.medium">
            <td>
              <b>{{ kind(row.kind) }}</b> <span class="soft">of {{ medium(row.medium).toLowerCase() }}</span>
            </td>
            <td class="num">
              {{ row.media_l === null ? 'none would do' : number(valueOf(row.media_l, 'L'), 2) }}
            </td>
            <td class="num">{{ number(valueOf(row.flow_l_h, 'L/h'), 2) }}</td>
            <td class="num">{{ number(row.air_l_min, 2) }}</td>
            <td class="num">{{ number(row.room_m2, 2) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="rule in filter.size.rules" :key="rule" class="soft small rule">{{ rule }}</p>
  </section>

  <section v-if="filter.floor.length" class="part" aria-label="Floor">
    <h2>Bare floor, stones or gravel</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Bare floor, stones or gravel">
      <table>
        <thead>
          <tr>
            <th>Floor</th>
            <th class="num">Surface, m²</th>
            <th class="num">Takes, grown, g N/d</th>
            <th class="num">Keeps of the dirt, g/d</th>
            <th class="num">Oxygen it then takes, g/d</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in filter.floor" :key="row.id">
            <td>
              <b>{{ row.name }}</b><span v-if="row.followed" class="small"> followed here</span> <br /><span
                class="soft small"
                >{{ row.says }}</span
              >
            </td>
            <td class="num">{{ number(row.surface_m2, 2) }}</td>
            <td class="num">{{ number(row.takes_g_d, 2) }}</td>
            <td class="num">{{ number(row.keeps_g_d, 2) }}</td>
            <td class="num">{{ number(row.o2_g_d, 2) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="soft small rule">
      Stones that lie there count in Capacity once their surface is entered with the vessel. All of it by
      estimate.
    </p>
  </section>

  <section class="part" aria-label="Without a filter">
    <h2>Without the filter</h2>
    <dl class="figures">
      <div v-for="figure in filter.no_filter" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" /></dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
  gap: 0.75rem 1.5rem;
}

dd {
  font-size: 1.1rem;
}

p {
  margin: 0.6rem 0;
}

.rule {
  max-width: 46rem;
}
</style>
