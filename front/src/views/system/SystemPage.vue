<script setup lang="ts">
import { computed } from 'vue'
import type { System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import ReadingStrip from '@/parts/ReadingStrip.vue'
import StateMark from '@/parts/StateMark.vue'
import { usePlumbing } from '@/api/queries'
import { clock } from '@/units/time'
import RunningPanel from './RunningPanel.vue'
import LoopStrip from '@/parts/loop/LoopStrip.vue'

const props = defineProps<{ system: System }>()

const plumbing = usePlumbing(() => props.system.slug)

const assumed = computed(
  () => props.system.capacity.gap?.text ?? props.system.capacity.living?.asks?.text ?? null,
)
const due = computed(() => props.system.schedule.tests.filter((test) => test.stands !== 'done'))
const share = computed(() =>
  Object.fromEntries(props.system.capacity.stages.map((stage) => [stage.id, stage.share])),
)

/** Every computed figure of the page stands beside the reading it follows from. */
const after: Record<string, string> = {
  nh3_n_mg_l: 'tan_mg_l',
  do_sat_pct: 'do_mg_l',
  co2_mg_l: 'alkalinity_mg_l',
}
const strips = computed(() => {
  const all = props.system.water.strips
  const measured = all.filter((strip) => !after[strip.parameter])
  return measured.flatMap((strip) => [
    strip,
    ...all.filter((derived) => after[derived.parameter] === strip.parameter),
  ])
})
const columns = computed(() => {
  const seen = new Map<string, { name: string; unit: string }>()
  for (const visit of props.system.visits)
    for (const { parameter, name, reads } of visit.readings)
      seen.set(parameter, { name, unit: reads.split(' ').slice(1).join(' ') })
  return [...seen]
})
</script>

<template>
  <p v-if="system.water.worst" class="worst" :class="system.water.state">
    {{ system.water.worst }}
    <RouterLink class="what small" :to="{ name: 'trouble', params: { system: system.slug } }"
      >What to do</RouterLink
    >
  </p>
  <p v-else-if="system.water.state" class="worst">
    Every reading is within its limits.
    <RouterLink class="what small" :to="{ name: 'trouble', params: { system: system.slug } }"
      >Something still looks wrong</RouterLink
    >
  </p>

  <dl class="numbers">
    <div>
      <dt>Water</dt>
      <dd><FigureButton :figure="system.volume" big /></dd>
    </div>
    <div>
      <dt>{{ system.fish_count }} fish</dt>
      <dd><FigureButton :figure="system.biomass" big /></dd>
    </div>
    <div>
      <dt>Load</dt>
      <dd><FigureButton :figure="system.capacity.load" big /></dd>
    </div>
    <div v-if="system.capacity.capacity">
      <dt>Filter capacity today</dt>
      <dd><FigureButton :figure="system.capacity.capacity" big /></dd>
    </div>
  </dl>
  <p class="carry">
    <StateMark v-if="system.capacity.state" :state="system.capacity.state" quiet />
    <span
      >{{ system.capacity.sentence }}
      <span v-if="assumed" class="soft">{{ assumed }}</span>
      <RouterLink :to="{ name: 'capacity', params: { system: system.slug } }">Capacity</RouterLink></span
    >
  </p>

  <section v-if="system.advice.length" aria-label="Advice">
    <details v-for="advice in system.advice" :key="advice.text" class="advice">
      <summary>{{ advice.text }}</summary>
      <p class="soft small">{{ advice.rule }} From {{ advice.from }}.</p>
    </details>
  </section>

  <LoopStrip
    v-if="plumbing.data.value && (plumbing.data.value.lines.length || system.build.stages.length)"
    class="loop"
    :plumbing="plumbing.data.value"
    :slug="system.slug"
    :share="share"
  />

  <RunningPanel :system="system" />

  <section aria-label="Latest readings">
    <div class="head">
      <h2>Latest readings</h2>
      <span v-if="due.length" class="small"
        >to test:
        <template v-for="(test, i) in due" :key="test.parameter"
          ><template v-if="i">, </template
          ><b v-if="test.stands === 'late'" class="fault">{{ test.name }}, late</b
          ><template v-else>{{ test.name }}</template></template
        ></span
      >
      <RouterLink class="small" :to="{ name: 'limits', params: { system: system.slug } }"
        >Limits and intervals</RouterLink
      >
      <span class="soft small"
        >judged for {{ system.life_stage_name.toLowerCase() }}, by the worse end of each reading</span
      >
    </div>
    <p v-if="!strips.length">
      Nothing has been tested yet.
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test the water</RouterLink>,
      ammonia, pH and temperature first.
    </p>
    <ReadingStrip v-for="strip in strips" :key="strip.parameter" :strip="strip" />
  </section>

  <section v-if="system.visits.length" class="visits">
    <h2>Latest tests</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="Latest tests">
      <table>
        <thead>
          <tr>
            <th>Taken</th>
            <th>By</th>
            <th v-for="[key, { name, unit }] in columns" :key="key" class="num">
              {{ name }} <span class="soft small">{{ unit }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="visit in system.visits" :key="visit.id">
            <td>{{ clock(visit.taken_at) }}</td>
            <td>{{ visit.by }}</td>
            <td v-for="[key] in columns" :key="key" class="num">
              {{ visit.readings.find((reading) => reading.parameter === key)?.reads.split(' ')[0] ?? '' }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.advice {
  padding: 0.35rem 0 0.35rem 0.75rem;
  border-left: 3px solid var(--straw);
  margin-bottom: 0.4rem;
}

.advice summary {
  cursor: pointer;
}

.worst {
  font-size: 1.25rem;
  font-weight: 700;
}

.what {
  margin-left: 0.6rem;
  font-weight: 400;
}

.worst.watch {
  color: var(--straw-ink);
}

.worst.act,
.worst.emergency {
  color: var(--rust-ink);
}

.carry {
  display: flex;
  gap: 0.6rem;
  max-width: 46rem;
  margin-bottom: 1.75rem;
}

.carry :deep(svg) {
  margin-top: 0.15rem;
  align-self: flex-start;
}

.loop {
  margin-bottom: 1.75rem;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 1rem;
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--soft);
}

.visits {
  margin-top: 2.25rem;
}

td,
th {
  white-space: nowrap;
}
</style>
