<script setup lang="ts">
import { computed } from 'vue'
import { useMutation } from '@tanstack/vue-query'
import { answer, api } from '@/api/client'
import { refreshBook, usePlumbing, useSession } from '@/api/queries'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import AirTable from './AirTable.vue'
import ProofOf from './ProofOf.vue'
import LoopStrip from '@/parts/loop/LoopStrip.vue'
import { figures } from '@/units/number'
import PlumbingWhatIf from './PlumbingWhatIf.vue'
import { proof } from './proof'
import ShutOffs from './ShutOffs.vue'
import VesselPlans from './VesselPlans.vue'
import { quantity, symbolOf, whole, wholeNumber } from '@/units/chosen'

const props = defineProps<{ system: System }>()
const plumbing = usePlumbing(() => props.system.slug)

const number = (value: number | null | undefined, digits = 3) =>
  value === null || value === undefined ? '' : figures(value, digits)
const flow = (value: number | null) => (value === null ? '' : wholeNumber(value, 'L/h'))
const litres = (value: number | null | undefined) =>
  value === null || value === undefined
    ? ''
    : new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 }).format(value)
const name = (place: { kind: string; id: string }) => {
  const data = plumbing.data.value
  return place.kind === 'outside'
    ? 'outside'
    : ([
        ...(data?.vessels ?? []),
        ...(data?.stages ?? []),
        ...(data?.pumps ?? []),
        ...(data?.junctions ?? []),
      ].find((part) => part.id === place.id)?.name ?? '')
}
const wastes = computed(() => plumbing.data.value?.lines.some((line) => line.flush) ?? false)
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const adopt = useMutation({
  mutationFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/plumbing/flows', { params: { path: { system: props.system.slug } } }),
    ),
  onSuccess: () => refreshBook(),
})
const stays = computed(
  () => plumbing.data.value?.stages.some((stage) => stage.residence_min !== null) ?? false,
)
const rises = computed(() => plumbing.data.value?.stages.some((stage) => stage.rises_m_h !== null) ?? false)
const pressed = computed(() => plumbing.data.value?.stages.some((stage) => stage.press_m !== null) ?? false)
const lamps = computed(() => plumbing.data.value?.stages.some((stage) => stage.uv !== null) ?? false)
const worse = computed(() =>
  [...(plumbing.data.value?.cautions ?? [])].sort(
    (a, b) => ['danger', 'watch', 'note'].indexOf(a.level) - ['danger', 'watch', 'note'].indexOf(b.level),
  ),
)
</script>

<template>
  <p v-if="plumbing.isError.value" class="fault" role="alert">{{ plumbing.error.value?.message }}</p>
  <p v-else-if="!plumbing.data.value" class="soft">Working out the flow …</p>
  <template v-else>
    <p v-if="plumbing.data.value.trouble" class="fault trouble" role="alert">
      {{ plumbing.data.value.trouble }}
    </p>
    <p v-if="!plumbing.data.value.lines.length && !plumbing.data.value.network" class="trouble">
      No lines are described yet.
      <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Describe them</RouterLink>, bore
      and length of each, and the flows and levels follow.
    </p>

    <dl class="numbers">
      <div v-if="plumbing.data.value.flow_l_h !== null">
        <dt>Flow through the filter</dt>
        <dd>
          <b>{{ wholeNumber(plumbing.data.value.flow_l_h, 'L/h') }}</b>
          <span class="soft small">{{ symbolOf('L/h') }}</span>
        </dd>
      </div>
      <div v-if="plumbing.data.value.turnover">
        <dt>Turnover</dt>
        <dd><FigureButton :figure="plumbing.data.value.turnover" big /></dd>
      </div>
      <div v-if="plumbing.data.value.circulation_l_h">
        <dt>Circulation pumps</dt>
        <dd>
          <b>{{ wholeNumber(plumbing.data.value.circulation_l_h, 'L/h') }}</b>
          <span class="soft small">{{ symbolOf('L/h') }}</span>
          <template v-if="plumbing.data.value.circulation">
            · <FigureButton :figure="plumbing.data.value.circulation"
          /></template>
        </dd>
      </div>
      <div>
        <dt>Power</dt>
        <dd>
          <b>{{ number(plumbing.data.value.kwh_d) }}</b>
          <span class="soft small"
            >kWh a day<template v-if="plumbing.data.value.cost_d !== null"
              >, {{ plumbing.data.value.cost_d.toFixed(2) }} to pay</template
            ></span
          >
        </dd>
      </div>
    </dl>

    <LoopStrip :plumbing="plumbing.data.value" :slug="system.slug" />
    <p v-if="plumbing.data.value.level">
      With the pump running the level may fall <b>{{ whole(plumbing.data.value.level.mm, 'mm') }}</b>, which
      is <b>{{ whole(plumbing.data.value.level.litres, 'L') }}</b>: {{ plumbing.data.value.level.by }} sets
      it.
    </p>
    <p class="soft small">
      Solved together for water at {{ quantity(plumbing.data.value.temp_c, '°C')
      }}<template v-if="plumbing.data.value.temp_assumed"> (assumed)</template>, levels against the water in
      the vessels.
    </p>

    <ul v-if="worse.length" class="cautions">
      <li v-for="caution in worse" :key="caution.text" :class="caution.level">{{ caution.text }}</li>
    </ul>

    <section v-if="plumbing.data.value.stages.length" class="part" aria-label="Stages">
      <h2>Chambers and stages</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Chambers and stages">
        <table>
          <thead>
            <tr>
              <th>Stage</th>
              <th class="num">Flow, {{ symbolOf('L/h') }}</th>
              <th class="num">Flow used by Capacity</th>
              <th class="num">Level drop, mm</th>
              <th class="num">Spare before air, mm</th>
              <th v-if="stays" class="num">Contact time, min</th>
              <th v-if="rises" class="num">Upflow, m/h</th>
              <th v-if="pressed" class="num">Pressure, m of water</th>
              <th v-if="lamps" class="num">UV, mJ/cm²</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="stage in plumbing.data.value.stages" :key="stage.id">
              <td :class="{ layer: stage.chamber_id !== null }">
                <b>{{ stage.name }}</b><span v-if="stage.bypassed" class="fault"> bypassed</span>
                <span v-if="stage.lamp_after !== null" class="soft small">
                  {{ stage.lamp_after ? 'after' : 'before' }} the biofilter<template v-if="stage.lamp_asked"
                    >; the school followed here puts it {{ stage.lamp_asked }} it</template
                  ></span
                >
              </td>
              <td class="num">
                <ProofOf
                  :figure="
                    proof(
                      plumbing.data.value,
                      `Flow through ${stage.name}`,
                      stage.ask,
                      'flow_l_h',
                      stage.flow_l_h,
                    )
                  "
                  :text="flow(stage.flow_l_h)"
                />
              </td>
              <td class="num soft">{{ flow(stage.reckoned_l_h) }}</td>
              <td class="num">
                <ProofOf
                  :figure="
                    proof(
                      plumbing.data.value,
                      `Level of ${stage.name}`,
                      stage.ask_level,
                      'level_mm',
                      stage.level_mm,
                    )
                  "
                  :text="litres(stage.level_mm)"
                />
              </td>
              <td class="num">{{ litres(stage.spare_mm) }}</td>
              <td v-if="stays" class="num">{{ number(stage.residence_min, 2) }}</td>
              <td v-if="rises" class="num">{{ number(stage.rises_m_h, 2) }}</td>
              <td v-if="pressed" class="num">
                {{ number(stage.press_m, 2)
                }}<span v-if="stage.may_press_m !== null" class="soft">
                  of {{ number(stage.may_press_m, 2) }}</span
                >
              </td>
              <td v-if="lamps" class="num"><FigureButton v-if="stage.uv" :figure="stage.uv" bare /></td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="plumbing.data.value.flows_differ" class="adopt">
        Capacity uses other flows than the loop gives.
        <button
          v-if="writes"
          type="button"
          class="link-button"
          :disabled="adopt.isPending.value"
          @click="adopt.mutate()"
        >
          Use these flows
        </button>
        <span v-if="adopt.isError.value" class="fault" role="alert">{{ adopt.error.value?.message }}</span>
      </p>
    </section>

    <VesselPlans :plumbing="plumbing.data.value" :system="system" />
    <ShutOffs :plumbing="plumbing.data.value" :slug="system.slug" :writes="writes" />

    <section v-if="plumbing.data.value.lines.length" class="part" aria-label="Lines">
      <h2>Lines</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Lines">
        <table>
          <thead>
            <tr>
              <th>Line</th>
              <th>From, to</th>
              <th class="num">Bore, mm</th>
              <th class="num">Flow, {{ symbolOf('L/h') }}</th>
              <th class="num">Speed, m/s</th>
              <th class="num">Drop, mm</th>
              <th class="num">Valve</th>
              <th v-if="wastes" class="num">Flush of 10 s</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in plumbing.data.value.lines" :key="line.id" :data-line="line.name">
              <td>
                <b>{{ line.name }}</b>
              </td>
              <td class="soft">{{ name(line.from) }} → {{ name(line.to) }}</td>
              <td class="num">{{ number(line.bore_mm, 4) }}</td>
              <td class="num">
                <ProofOf
                  :figure="
                    proof(plumbing.data.value, `Flow along ${line.name}`, line.ask, 'flow_l_h', line.flow_l_h)
                  "
                  :text="flow(line.flow_l_h)"
                />
              </td>
              <td class="num">{{ number(line.velocity_m_s, 2) }}</td>
              <td class="num drop">
                <FigureButton v-if="line.drop" :figure="line.drop" bare :strong="false" />
              </td>
              <td class="num">
                {{
                  line.valve_open_pct === null
                    ? ''
                    : line.valve_open_pct === 0
                      ? 'shut'
                      : `${line.valve_open_pct} %`
                }}
              </td>
              <td v-if="wastes" class="num"><FigureButton v-if="line.flush" :figure="line.flush" /></td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>

    <section v-if="plumbing.data.value.pumps.length" class="part" aria-label="Pumps">
      <h2>Pumps</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Pumps">
        <table>
          <thead>
            <tr>
              <th>Pump</th>
              <th>Circuit</th>
              <th class="num">Flow</th>
              <th class="num">Head, m</th>
              <th class="num">W</th>
              <th class="num">kWh a day</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="pump in plumbing.data.value.pumps" :key="pump.id">
              <td>
                <b>{{ pump.name }}</b><span v-if="!pump.running" class="fault"> off</span>
              </td>
              <td class="soft">{{ pump.circuit }}</td>
              <td class="num">
                <template v-if="pump.kind === 'air'">{{ litres(pump.air_l_min) }} L/min of air</template
                ><template v-else
                  ><ProofOf
                    :figure="
                      proof(plumbing.data.value, `Flow of ${pump.name}`, pump.ask, 'flow_l_h', pump.flow_l_h)
                    "
                    :text="flow(pump.flow_l_h)"
                  />
                  {{ symbolOf('L/h') }}</template
                >
              </td>
              <td class="num">{{ number(pump.head_m) }}</td>
              <td class="num">{{ litres(pump.power_w) }}</td>
              <td class="num">{{ number(pump.kwh_d) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <AirTable :air="plumbing.data.value.air" />
    <PlumbingWhatIf
      v-if="plumbing.data.value.lines.length"
      :plumbing="plumbing.data.value"
      :slug="system.slug"
    />
  </template>
</template>

<style scoped>
.trouble {
  margin-bottom: 1rem;
}

.cautions {
  margin: 1.25rem 0;
}

.cautions li {
  margin-top: 0.4rem;
  padding-left: 0.75rem;
  border-left: 3px solid var(--hair);
  color: var(--soft);
}

.cautions .watch {
  border-left-color: var(--straw);
  color: var(--ink);
}

.cautions .danger {
  border-left-color: var(--rust);
  color: var(--rust-ink);
  font-weight: 700;
}

.layer {
  padding-left: 1.25rem;
}

.adopt {
  margin-top: 0.6rem;
}

td {
  white-space: nowrap;
}
</style>
