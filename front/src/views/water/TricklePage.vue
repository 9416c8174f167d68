<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import BenchForm from '@/parts/BenchForm.vue'
import ChoiceField from '@/parts/ChoiceField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'
import { openSlip } from '@/state/slip'
import MeterReadings from './MeterReadings.vue'
import { useWaterForm, whole } from './useWaterForm'

const props = defineProps<{ system: System }>()
const { form, water, page, writes, errors, chosen, clear } = useWaterForm(() => props.system.slug)
const KEYS = [
  'pct_per_week',
  'flow_l_h',
  'jug_l',
  'jug_s',
  'trickle_meter_before',
  'trickle_meter_after',
  'trickle_meter_h',
] as const
/** What takes the chlorine out of it before it runs in: a carbon train, or dosing with the flow. */
const treated = ref('')
const open = useSend(
  () => props.system.slug,
  (_, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/trickles/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: {
          ...Object.fromEntries(KEYS.map((key) => [key, form.value[key]])),
          water: chosen.value,
          treated_by: treated.value,
        },
      }),
    ),
  () => clear(...KEYS),
)
const close = useSend(
  () => props.system.slug,
  (id: string) =>
    answer(() =>
      api.DELETE('/api/systems/{system}/trickles/{id}', {
        params: { path: { system: props.system.slug, id } },
      }),
    ),
)
const fault = (key: string) => errors.value[key] ?? open.errors.value[key]
const HEAT_HINT =
  'Trickle, walls, surface and shed air against the heater; a coil of the incoming pipe in the shed’s air warms it ' +
  'for nothing. A heater hangs on a residual-current device.'
</script>

<template>
  <p v-if="water.isError.value" class="fault" role="alert">{{ water.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <p v-if="page.missing" class="worst">
      {{ page.missing }} <RouterLink :to="{ name: 'shelf' }">Shelf</RouterLink>
    </p>
    <p v-if="page.running" class="runs">
      {{ page.running.text }} runs since {{ page.running.age
      }}<template v-if="page.running.pct_week !== null"
        >: {{ whole(page.running.pct_week) }} % of the water a week</template
      >, a litre in {{ whole(page.running.jug_s) }} s.
      <button v-if="writes" type="button" class="link-button" @click="close.send(page.running.id)">
        It is shut
      </button>
    </p>
    <section class="part" aria-label="A trickle">
      <h2>A trickle</h2>
      <form novalidate @submit.prevent="open.send(undefined)">
        <div class="fields">
          <TypedField
            v-model="form.pct_per_week"
            label="Share"
            unit="% a week"
            :error="fault('pct_per_week')"
          />
          <TypedField v-model="form.flow_l_h" label="or flow" unit="L/h" :error="fault('flow_l_h')" />
          <TypedField
            v-model="form.jug_l"
            label="Your jug"
            unit="L"
            placeholder="1"
            :error="fault('jug_l')"
          />
          <TypedField v-model="form.jug_s" label="or it fills in" unit="s" :error="fault('jug_s')" />
          <FormField v-if="page.waters.length" v-slot="{ id, status }" label="From" :error="fault('water')"
            ><ChoiceField
              :id="id"
              v-model="chosen"
              :status="status"
              :choices="page.waters.map((row) => ({ value: row.id, label: row.name }))"
          /></FormField>
        </div>
        <details>
          <summary>By two readings of the meter</summary>
          <div class="fields">
            <TypedField
              v-model="form.trickle_meter_before"
              label="Meter before"
              unit="L"
              :error="fault('trickle_meter_before')"
            />
            <TypedField
              v-model="form.trickle_meter_after"
              label="Meter after"
              unit="L"
              :error="fault('trickle_meter_after')"
            />
            <TypedField
              v-model="form.trickle_meter_h"
              label="Hours between"
              unit="h"
              :error="fault('trickle_meter_h')"
            />
          </div>
        </details>
        <template v-if="page.trickle">
          <p class="runs">
            Open it to <FigureButton :figure="page.trickle.l_min" />, {{ whole(page.trickle.litres) }} L a
            day<template v-if="page.trickle.jug"
              >: the jug fills in <FigureButton :figure="page.trickle.jug" /></template
            >.
          </p>
          <p v-if="page.trickle.steady">
            At today’s feed nitrate comes to <b>{{ page.trickle.after }}</b> in 60 days and would stand at
            <b>{{ page.trickle.steady }}</b> in the end.
          </p>
          <p>
            Of salt and of anything dosed <b>{{ whole(page.trickle.left_day_pct) }} %</b> are left after a
            day, <b>{{ whole(page.trickle.left_week_pct) }} %</b> after a week.
          </p>
          <p v-for="item in page.trickle.day_takes" :key="item.what">
            A day’s water takes <b>{{ item.text }}</b>
            <button
              type="button"
              class="link-button small"
              :aria-label="`How much ${item.name} is worked out`"
              @click="openSlip(item.figure)"
            >
              how
            </button>
          </p>
          <p v-if="page.trickle.heat">Warming it takes <FigureButton :figure="page.trickle.heat" />.</p>
        </template>
        <TypedField
          v-if="page.chlorine || page.trickle?.day_takes.length || treated || fault('treated_by')"
          v-model="treated"
          label="What takes its chlorine out"
          words
          :error="fault('treated_by')"
        />
        <div v-if="writes" class="fields">
          <NButton type="primary" attr-type="submit" :loading="open.pending.value">It runs from now</NButton>
        </div>
        <p v-if="open.trouble.value" class="fault" role="alert">{{ open.trouble.value }}</p>
      </form>
      <p class="soft small">
        An open trickle takes salt and treatments out as well, and runs in whatever happens: give it an
        overflow, and no chlorine. In a small shared tub it pulls the temperature to its own in winter.
      </p>
    </section>
    <BenchForm :system="system" bench="heat" :hint="HEAT_HINT" />
    <MeterReadings :system="system" :meter="page.meter" :writes="writes" />
  </template>
</template>

<style scoped>
.runs {
  font-size: 1.15rem;
}
</style>
