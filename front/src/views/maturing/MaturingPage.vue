<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive, shallowRef, watch } from 'vue'
import { Refusal } from '@/api/client'
import { useMaturing, useSession, useVocabulary } from '@/api/queries'
import type { Maturing, System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'
import { figures } from '@/units/number'
import FishInBlock from './FishInBlock.vue'
import SeedList from './SeedList.vue'
import StartCurve from './StartCurve.vue'
import StartDoes from './StartDoes.vue'

const props = defineProps<{ system: System }>()
const typed = reactive<Record<string, string>>({})
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, value]) => value.trim() !== ''))),
  300,
)
const query = useMaturing(() => props.system.slug, asked)
const errors = computed(() => (query.error.value instanceof Refusal ? query.error.value.errors : {}))
/** What is refused has a field to be put right in: what was told before it stays. */
const told = shallowRef<Maturing>()
watch(query.data, (now) => (told.value = now ?? told.value), { immediate: true })
const start = computed(
  () => query.data.value ?? (Object.keys(errors.value).length > 0 ? told.value : undefined),
)
const words = useVocabulary()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const STAGES = [
  ['unfed', 'No ammonia'],
  ['waiting', 'Ammonia high'],
  ['ammonia', 'Ammonia falls'],
  ['nitrite', 'Nitrite high'],
  ['proving', 'Both down'],
  ['ready', 'Ready'],
] as const
/** What is missing, and is entered on Build. */
const BUILT = new Set(['model.start_no_filter', 'model.start_no_nitrifiers', 'model.start_age_unknown'])
const number = (value: number) => figures(value, 2)
const days = (value: number) => `${Math.round(value)} day${Math.round(value) === 1 ? '' : 's'}`
</script>

<template>
  <p v-if="query.isError.value && !start" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!start" class="soft">Loading the start …</p>
  <template v-else>
    <FishInBlock v-if="start.fish_in" :system="system" :start="start.fish_in" />
    <p v-for="one in start.advice" :key="one.code" class="caution">{{ one.text }}</p>
    <p v-if="start.takes && start.living" class="lives">
      The filter can take <FigureButton :figure="start.takes" /><template v-if="start.band">
        ({{ number(start.band.low_g_d) }} to {{ number(start.band.high_g_d) }})</template
      >
      today; the fish give <FigureButton :figure="start.load" />.
      <span class="soft"
        >{{ number(start.living.pct) }} % of its surface lives, {{ start.living.from }}.</span
      >
    </p>
    <p v-if="start.living?.asks" class="caution">
      {{ start.living.asks.text }}
      <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Enter the start date</RouterLink>
    </p>
  </template>
  <template v-if="start && !start.starting">
    <p class="lead">{{ start.says.text }}</p>
    <p v-if="BUILT.has(start.says.code)">
      <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Build</RouterLink>
    </p>
    <StartDoes v-else-if="start.does.length" :system="system" :start="start" />
    <p v-else>
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test the water</RouterLink> or see
      what the filter carries under
      <RouterLink :to="{ name: 'capacity', params: { system: system.slug } }">Capacity</RouterLink>.
    </p>
  </template>
  <template v-else-if="start">
    <p class="ready">
      <template v-if="start.stage === 'ready'">Ready.</template>
      <template v-else-if="start.stage === 'unfed'">No ready day: nothing feeds the filter.</template>
      <template v-else-if="start.ready_on"
        >Ready about <b>{{ day(start.ready_on) }}</b><template v-if="start.early_on && start.late_on"
          >, between {{ day(start.early_on) }} and {{ day(start.late_on) }}</template
        >.</template
      >
      <template v-else>Not ready within four months at this rate.</template>
    </p>
    <ol class="way" aria-label="How far it has come">
      <li v-for="[id, name] in STAGES" :key="id" :aria-current="start.stage === id ? 'step' : undefined">
        {{ name }}
      </li>
    </ol>
    <p>
      {{ start.says.text
      }}<template v-if="start.nitrite_peak">
        Nitrite peaks about {{ day(start.nitrite_peak.on) }}, near
        {{ number(start.nitrite_peak.mg_l) }} mg/L.</template
      >
    </p>
    <p
      v-for="caution in start.cautions.filter((row) => row.level !== 'note')"
      :key="caution.text"
      class="caution"
      :class="caution.level"
    >
      {{ caution.text }}
    </p>
    <StartDoes :system="system" :start="start" />
    <dl class="numbers">
      <div v-for="figure in start.figures" :key="figure.label">
        <dt>{{ figure.label }}</dt>
        <dd><FigureButton :figure="figure" big /></dd>
      </div>
    </dl>
    <StartCurve :start="start" />
    <p class="soft small">
      Bars are your readings, the line is the model, and the hatched area is what the readings leave open.
      Followed since {{ start.since ? day(start.since) : '' }}.
    </p>
    <form class="fields" novalidate @submit.prevent>
      <TypedField
        v-for="field in start.fields"
        :key="field.key"
        :model-value="typed[field.key] ?? ''"
        :label="field.label"
        :unit="field.unit"
        :placeholder="String(field.value)"
        :hint="field.from"
        :error="errors[field.key]"
        @update:model-value="typed[field.key] = $event ?? ''"
      />
    </form>
    <section v-if="start.ways.length" class="part" aria-label="What would speed it up">
      <h2>What would speed it up</h2>
      <ul class="rows">
        <li v-for="way in start.ways" :key="way.what">
          <b>{{ way.what }}</b>
          <span
            >{{ days(way.gained_d) }} sooner<template v-if="way.on">, {{ day(way.on) }}</template></span
          >
        </li>
      </ul>
      <p class="soft small">
        A donor, even your own, can bring disease or traces of a treatment: look at its fish first, and count
        what it loses. Results of bottled cultures differ: nothing is promised here.
      </p>
    </section>
  </template>
  <SeedList v-if="start" :system="system" :start="start" :words="words.data.value" :writes="writes" />
</template>

<style scoped>
.lead {
  max-width: 46rem;
  margin-bottom: 0.75rem;
  font-size: 1.15rem;
}

.ready {
  font-size: 1.5rem;
}

.lives {
  max-width: 48rem;
  margin: 0.5rem 0 1rem;
}

.way {
  display: flex;
  flex-wrap: wrap;
  margin: 0.9rem 0;
  border-top: 1px solid var(--soft);
}

.way li {
  flex: 1 1 4.5rem;
  padding: 0.35rem 0.5rem 0 0;
  color: var(--soft);
}

.way li[aria-current] {
  margin-top: -3px;
  border-top: 5px solid var(--straw);
  color: var(--ink);
  font-weight: 700;
}
</style>
