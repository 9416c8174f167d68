<script setup lang="ts">
import type { Capacity, Figure } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { figures as number } from '@/units/number'

const props = defineProps<{ stages: Capacity['stages']; whole: Figure }>()

const HELD = { surface: 'surface', oxygen: 'oxygen', transport: 'flow' }

/** A stage's number opens the working of the whole filter, where its steps stand under its name. */
const figure = (stage: string, what: string, value: number, unit: string): Figure => ({
  ...props.whole,
  label: `${stage}: ${what}`,
  value,
  text: number(value),
  unit,
  key: null,
})

const columns = [
  { key: 'area_m2', head: 'Surface, m²', what: 'surface', unit: 'm²' },
  { key: 'area_rate_g_m2_d', head: 'Rate, g/m²·d', what: 'works at', unit: 'g N/m²·d' },
  { key: 'surface_limit_g_d', head: 'By surface', what: 'surface limit', unit: 'g N/d' },
  { key: 'oxygen_limit_g_d', head: 'By oxygen', what: 'oxygen limit', unit: 'g N/d' },
  { key: 'transport_limit_g_d', head: 'By flow', what: 'transport limit', unit: 'g N/d' },
  { key: 'do_out_mg_l', head: 'Oxygen out, mg/L', what: 'at full work leaves with', unit: 'mg/L' },
  { key: 'capacity_g_d', head: 'Capacity, g N/day', what: 'takes', unit: 'g N/d' },
] as const
</script>

<template>
  <section aria-label="Stages">
    <h2>Stage by stage</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Stage by stage">
      <table>
        <thead>
          <tr>
            <th>Stage</th>
            <th v-for="column in columns" :key="column.key" class="num">{{ column.head }}</th>
            <th>Limited by</th>
            <th class="num">Ammonia if it is off</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="stage in stages" :key="stage.id">
            <td>
              <b>{{ stage.name }}</b>
              <span v-if="stage.name !== stage.kind" class="soft small">{{ stage.kind.toLowerCase() }}</span>
            </td>
            <template v-if="stage.nitrifies">
              <td v-for="column in columns" :key="column.key" class="num">
                <FigureButton
                  :figure="figure(stage.name, column.what, stage[column.key], column.unit)"
                  bare
                  :strong="column.key === 'capacity_g_d'"
                />
              </td>
              <td>{{ HELD[stage.limiting] }}</td>
              <td class="num">
                {{
                  stage.off === null
                    ? ''
                    : stage.off.tan_mg_l === null
                      ? 'only rises'
                      : number(stage.off.tan_mg_l)
                }}
              </td>
            </template>
            <td v-else colspan="8" class="soft">clears the water, removes no ammonia</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

h2 {
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--soft);
}

td {
  white-space: nowrap;
}
</style>
