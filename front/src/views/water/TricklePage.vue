<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TodayHere from '@/parts/answer/TodayHere.vue'
import BenchForm from '@/parts/BenchForm.vue'
import PickField from '@/parts/PickField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { openSlip } from '@/state/slip'
import MeterReadings from './MeterReadings.vue'
import { useWaterForm, whole } from './useWaterForm'
import { whole as volume } from '@/units/chosen'

const props = defineProps<{ system: System }>()
/** Any of these says how much trickles. */
const TRICKLES = ['pct_per_week', 'flow_l_h', 'jug_s', 'trickle_meter_before'] as const
const { form, water, page, writes, errors, chosen, clear } = useWaterForm(
  () => props.system.slug,
  // What the school asks for in a week, day and night.
  (page, typed): Record<string, string> => {
    const flow = page?.minimum?.trickle_l_h
    return flow && !TRICKLES.some((key) => typed[key]) ? { flow_l_h: flow.toFixed(6) } : {}
  },
)
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
const close = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/trickles/{id}', {
      params: { path: { system: props.system.slug, id } },
    }),
  ),
)
const proposing = computed(() => TRICKLES.every((key) => form.value[key] === ''))
const fault = (key: string) => errors.value[key] ?? open.errors.value[key]
const HEAT_HINT =
  'Trickle, walls, surface and shed air against the heater; a coil of the incoming pipe in the shed’s air warms it ' +
  'for nothing. A heater needs a residual-current device.'
</script>

<template>
  <p v-if="water.isError.value" class="fault" role="alert">{{ water.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <p v-if="page.missing" class="worst">
      {{ page.missing.text }} <RouterLink :to="{ name: 'shelf' }">Shelf</RouterLink>
    </p>
    <TodayHere :slug="system.slug" :steps="[]" :causes="[]">
      <p v-if="page.running" class="deed">
        {{ page.running.text }} has run for {{ page.running.age.replace(/ ago$/, '')
        }}<template v-if="page.running.pct_week !== null"
          >: {{ whole(page.running.pct_week) }} % of the water a week</template
        >, a litre in {{ whole(page.running.jug_s) }} s.
        <button v-if="writes" type="button" class="link-button" @click="close.send(page.running.id)">
          Stop the trickle
        </button>
      </p>
      <template v-else>
        <p class="deed">No trickle is running.</p>
        <p v-if="page.minimum">{{ page.minimum.says.text }}</p>
        <p v-if="page.trickle && proposing">
          Instead, <FigureButton :figure="page.trickle.l_min" /> day and night would do it:
          {{ volume(page.trickle.litres, 'L') }} a day<template v-if="page.trickle.jug"
            >, a jug in <FigureButton :figure="page.trickle.jug" /></template
          >.
        </p>
      </template>
    </TodayHere>
    <section class="part" aria-label="Start a trickle">
      <h2>{{ page.running ? 'Set it anew' : 'Start a trickle' }}</h2>
      <form novalidate @submit.prevent="open.send(undefined)">
        <div class="fields">
          <TypedField
            v-model="form.pct_per_week"
            label="Share"
            unit="% a week"
            :error="fault('pct_per_week')"
          />
          <TypedField
            v-model="form.flow_l_h"
            label="or flow"
            unit="L/h"
            :placeholder="proposing && page.trickle ? whole(page.trickle.flow_l_h) : ''"
            :error="fault('flow_l_h')"
          />
          <TypedField
            v-model="form.jug_l"
            label="Your jug"
            unit="L"
            placeholder="1"
            :error="fault('jug_l')"
          />
          <TypedField v-model="form.jug_s" label="or time to fill it" unit="s" :error="fault('jug_s')" />
          <PickField
            v-if="page.waters.length"
            label="Source water"
            :error="fault('water')"
            v-model="chosen"
            :choices="page.waters.map((row) => ({ value: row.id, label: row.name }))"
          />
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
            Open it to <FigureButton :figure="page.trickle.l_min" />, {{ volume(page.trickle.litres, 'L') }} a
            day<template v-if="page.trickle.jug"
              >: the jug fills in <FigureButton :figure="page.trickle.jug" /></template
            >.
          </p>
          <p v-if="page.trickle.steady">
            At today’s feed nitrate reaches <b>{{ page.trickle.after }}</b> in 60 days and settles at
            <b>{{ page.trickle.steady }}</b>.
          </p>
          <p>
            After a day <b>{{ whole(page.trickle.left_day_pct) }} %</b> of salt and of anything dosed is left,
            after a week <b>{{ whole(page.trickle.left_week_pct) }} %</b>.
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
          label="How its chlorine is removed"
          words
          :error="fault('treated_by')"
        />
        <div v-if="writes" class="fields">
          <NButton type="primary" attr-type="submit" :loading="open.pending.value">Start the trickle</NButton>
        </div>
        <p v-if="open.trouble.value" class="fault" role="alert">{{ open.trouble.value }}</p>
      </form>
      <p class="soft small">
        A trickle also carries salt and treatments away, and it runs in whatever happens: it needs an overflow
        and water without chlorine. In winter it pulls a small tub to its own temperature.
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
