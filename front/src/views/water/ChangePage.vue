<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TodayHere from '@/parts/answer/TodayHere.vue'
import { type Step, useToday } from '@/parts/answer/useToday'
import FigureButton from '@/parts/FigureButton.vue'
import DoneAnyway from '@/parts/DoneAnyway.vue'
import TypedField from '@/parts/TypedField.vue'
import ChangesBooked from './ChangesBooked.vue'
import GoalPlan from './GoalPlan.vue'
import SchoolsTable from './SchoolsTable.vue'
import { openSlip } from '@/state/slip'
import { useWaterForm, whole } from './useWaterForm'
import { quantity } from '@/units/chosen'

const props = defineProps<{ system: System }>()
/** What Trouble asks for of water today, and the least that the school followed here asks for in a week. */
const today = useToday(() => props.system.slug, ['water'])
const watched = computed(() => today.watched.value.filter((one) => one.parameter === 'no3_n_mg_l'))
const exact = (litres: number) => String(Math.round(litres * 10) / 10)
const { form, typed, water, page, writes, errors, chosen, clear } = useWaterForm(
  () => props.system.slug,
  (page): Record<string, string> => {
    const pct = today.steps.value.find((step) => step.fill.change_pct)?.fill.change_pct
    const due = page?.minimum?.due_l ?? 0
    return pct ? { change_pct: pct } : due > 0 ? { change_l: exact(due) } : {}
  },
)
const source = computed(
  () => page.value?.waters.find((row) => row.id === page.value?.water)?.name ?? 'This water',
)
function fill(step: Step): void {
  clear('change_l', 'change_pct', 'level_cm', 'meter_before', 'meter_after')
  Object.assign(form.value, step.fill)
}

const booking = reactive({ kind: 'batch', pump_off: 'no', planned_min: '' })
const book = useSend(
  (as: { again?: boolean; done?: boolean }, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/changes/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: {
          ...booking,
          // Booked is what the page shows, proposed or typed.
          change_l:
            typed.value || !page.value?.change ? form.value.change_l : exact(page.value.change.litres),
          change_pct: form.value.change_pct,
          level_cm: form.value.level_cm,
          meter_before: form.value.meter_before,
          meter_after: form.value.meter_after,
          water: chosen.value,
          body: form.value.body,
          again: as.again ? 'yes' : 'no',
          done: as.done ? 'yes' : 'no',
        },
      }),
    ),
  () => {
    clear('change_l', 'change_pct', 'level_cm', 'meter_before', 'meter_after')
    Object.assign(booking, { pump_off: 'no', planned_min: '' })
  },
)
const fault = (key: string) => errors.value[key] ?? book.errors.value[key]
const batch = computed(() => booking.kind === 'batch')
const BOUNDS: Record<string, string> = {
  oxygen: 'oxygen is dangerous for these fish',
  ammonia: 'ammonia is dangerous for these fish',
  filter: 'the standing filter goes foul',
}
</script>

<template>
  <p v-if="water.isError.value" class="fault" role="alert">{{ water.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <p v-if="page.missing" class="worst">
      {{ page.missing.text }} <RouterLink :to="{ name: 'shelf' }">Shelf</RouterLink>
    </p>
    <TodayHere
      :slug="system.slug"
      :steps="today.steps.value"
      :causes="today.causes.value"
      :fault="today.fault.value"
      @fill="fill"
    >
      <p v-if="page.minimum && today.ready.value" class="deed">{{ page.minimum.says.text }}</p>
      <template #besides>
        <p v-if="today.steps.value.length && page.minimum && page.minimum.due_l > 0" class="soft">
          {{ page.minimum.says.text }}
        </p>
        <p v-for="one in watched" :key="one.code">{{ one.text }}</p>
        <p v-if="page.chlorine" class="fault">
          {{ source }} has chlorine in it: neutralise it before fish meet it.
        </p>
      </template>
    </TodayHere>

    <section v-if="!page.missing" class="part" aria-label="One change">
      <h2>
        {{
          typed || !page.change
            ? 'One change'
            : `This change: ${quantity(page.change.litres, 'L')} (${whole(page.change.pct)} %)`
        }}
      </h2>
      <form novalidate @submit.prevent="book.send({})">
        <div class="fields">
          <PickField
            v-if="page.waters.length"
            label="Source water"
            :error="fault('water')"
            v-model="chosen"
            :choices="page.waters.map((row) => ({ value: row.id, label: row.name }))"
          />
          <PickField
            v-if="page.bodies.length > 1"
            label="Into"
            :error="fault('body')"
            v-model="form.body"
            :choices="
              page.bodies.map((row) => ({ value: row.id, label: `${row.name}, ${whole(row.litres)} L` }))
            "
          />
          <TypedField v-model="form.fill_l_min" label="Fill rate" unit="L/min" :error="fault('fill_l_min')" />
          <dl>
            <dt class="small soft">Volume</dt>
            <dd><FigureButton :figure="page.volume" /></dd>
          </dl>
        </div>
        <div class="fields ways">
          <TypedField
            v-model="form.change_l"
            label="Amount"
            unit="L"
            :placeholder="typed || !page.change ? '' : whole(page.change.litres)"
            :error="fault('change_l')"
          />
          <TypedField v-model="form.change_pct" label="or share" unit="%" :error="fault('change_pct')" />
          <TypedField v-model="form.level_cm" label="or fall in level" unit="cm" :error="fault('level_cm')" />
          <TypedField
            v-model="form.meter_before"
            label="or meter before"
            unit="L"
            :error="fault('meter_before')"
          />
          <TypedField v-model="form.meter_after" label="and after" unit="L" :error="fault('meter_after')" />
        </div>
        <div
          v-if="page.change && batch"
          class="scroll"
          tabindex="0"
          role="region"
          aria-label="The water before and after"
        >
          <table>
            <thead>
              <tr>
                <th>&nbsp;</th>
                <th>now</th>
                <th>new water</th>
                <th>after {{ quantity(page.change.litres, 'L') }} ({{ whole(page.change.pct) }} %)</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in page.rows" :key="row.parameter">
                <th>
                  {{ row.name }} <span class="soft small">{{ row.unit }}</span>
                </th>
                <td>
                  {{ row.now ?? '–' }} <span v-if="row.age" class="soft small">{{ row.age }}</span>
                </td>
                <td>{{ row.new ?? '–' }} <span v-if="row.assumed" class="soft small">assumed</span></td>
                <td>
                  <b>{{ row.after ?? '–' }}</b>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <template v-if="page.change && batch">
          <p
            v-for="caution in page.change.cautions"
            :key="caution.text"
            class="caution"
            :class="caution.level"
          >
            {{ caution.text }}
          </p>
          <p v-if="page.change.minutes !== null">
            Filling takes <b>{{ whole(page.change.minutes) }} min</b>.
          </p>
          <p v-for="item in page.change.put_back" :key="item.what" class="back">
            Put back: <b>{{ item.text }}</b>
            <button
              type="button"
              class="link-button small"
              :aria-label="`How much ${item.name} is worked out`"
              @click="openSlip(item.figure)"
            >
              how
            </button>
          </p>
        </template>
        <div v-if="writes" class="fields">
          <PickField
            label="Kind of change"
            v-model="booking.kind"
            :choices="[
              { value: 'batch', label: 'water change' },
              { value: 'topup', label: 'top-up of evaporation' },
            ]"
          />
          <template v-if="batch">
            <PickField
              label="Pump during the change"
              v-model="booking.pump_off"
              :choices="[
                { value: 'no', label: 'running' },
                { value: 'yes', label: 'off' },
              ]"
            />
            <TypedField
              v-if="booking.pump_off === 'yes'"
              v-model="booking.planned_min"
              label="Pump off for"
              unit="min"
              :error="fault('planned_min')"
            />
          </template>
          <NButton type="primary" attr-type="submit" :loading="book.pending.value">{{
            booking.pump_off === 'yes' && batch
              ? 'Pump is off: start the clock'
              : batch
                ? 'Book the change'
                : 'Book the top-up'
          }}</NButton>
        </div>
        <p v-if="booking.pump_off === 'yes' && batch && page.change" class="caution">
          <template v-if="page.change.pump_off.minutes < 5"
            >Leave the pump on if you can: without flow {{ BOUNDS[page.change.pump_off.by] }} at
            once</template
          ><template v-else
            >Pump off for <b>{{ whole(page.change.pump_off.minutes) }} minutes</b> at most: after that
            {{ BOUNDS[page.change.pump_off.by] }}</template
          ><template v-if="page.change.pump_off.assumed.length"
            >. Assumed, not tested: {{ page.change.pump_off.assumed.join(', ') }}</template
          >. The clock stays at the foot of every page until somebody has seen water flow.
        </p>
        <DoneAnyway
          :errors="book.errors.value"
          refused="water"
          again="This is a second change"
          already="It has been done already"
          @again="book.send({ again: true })"
          @done="book.send({ done: true, again: true })"
        />
        <p v-if="book.trouble.value" class="fault" role="alert">{{ book.trouble.value }}</p>
      </form>
    </section>

    <GoalPlan v-if="!page.missing" v-model="form" :page="page" :errors="errors" />

    <ChangesBooked :system="system" :page="page" :writes="writes" />
    <SchoolsTable
      v-if="page.schools.length"
      v-model="form.price_m3"
      :page="page"
      :slug="system.slug"
      :error="fault('price_m3')"
    />

    <section class="part" aria-label="Waste water">
      <h2>Where the waste water goes</h2>
      <p v-for="line in page.waste" :key="line">{{ line }}</p>
    </section>
    <details v-if="page.first_fill.length" class="part">
      <summary>First fill of a new system, step by step</summary>
      <ol class="sequence">
        <li v-for="step in page.first_fill" :key="step.code">{{ step.text }}</li>
      </ol>
    </details>
  </template>
</template>

<style scoped>
@media (min-width: 721px) {
  .ways > .field {
    width: 8.5rem;
  }
}

.scroll {
  overflow-x: auto;
}

.back {
  margin: 0.4rem 0;
}

.sequence {
  padding-left: 1.5rem;
  list-style: decimal;
}

.sequence li {
  padding: 0.25rem 0;
}
</style>
