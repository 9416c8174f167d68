<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { useDebounce, useSessionStorage } from '@vueuse/core'
import { NButton, NInput } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useShelf, useVocabulary } from '@/api/queries'
import type { FieldErrors, System } from '@/api/types'
import TodayHere from '@/parts/answer/TodayHere.vue'
import { useToday } from '@/parts/answer/useToday'
import PickField from '@/parts/PickField.vue'
import FormField from '@/parts/FormField.vue'
import ReadingStrip from '@/parts/ReadingStrip.vue'
import { lastBooked } from '@/state/booked'
import { date } from '@/units/time'
import TestRow from './TestRow.vue'

const props = defineProps<{ system: System }>()
const router = useRouter()
const route = useRoute()
const vocabulary = useVocabulary()

type Typed = Record<string, { typed: string; unit: string | null }>

/** What is typed outlives a reload or a dropped connection, with the key that lets a retry book only once. */
const corrects = typeof route.query.corrects === 'string' ? route.query.corrects : null
const draft = useSessionStorage<{ id: string; at: string; bay: string; spot?: string; readings: Typed }>(
  `test-${props.system.slug}${corrects ? `-${corrects}` : ''}`,
  { id: ulid(), at: '', bay: '', spot: '', readings: {} },
)
const original = useQuery({
  queryKey: ['visit', corrects],
  enabled: corrects !== null,
  queryFn: () =>
    answer(() => api.GET('/api/visits/{visit}', { params: { path: { visit: corrects ?? '' } } })),
})
watch(original.data, (visit) => {
  if (!visit || Object.values(draft.value.readings).some((row) => row.typed !== '')) return
  for (const reading of visit.readings)
    draft.value.readings[reading.parameter] = {
      typed: reading.typed,
      unit: unitOf(reading.parameter, reading.unit),
    }
  draft.value.at = visit.taken_at
  draft.value.spot = visit.spot ?? ''
  draft.value.bay = props.system.build.vessels.find((vessel) => vessel.name === visit.bay)?.id ?? ''
})
const unitOf = (parameter: string, symbol: string | null) =>
  parameters.value.find((p) => p.id === parameter)?.units.find((unit) => unit.symbol === symbol)?.id ?? null
const parameters = computed(() => vocabulary.data.value?.parameters ?? [])

watch(
  parameters,
  (all) => {
    for (const parameter of all)
      draft.value.readings[parameter.id] ??= { typed: '', unit: parameter.units[0]?.id ?? null }
  },
  { immediate: true },
)

/** What is due stands first, in the order of the kit. */
const today = useToday(() => props.system.slug, ['test'])
const dueNow = computed(() => props.system.schedule.tests.filter((test) => test.stands !== 'done'))
const first = computed(() => {
  const due = parameters.value.filter((parameter) =>
    dueNow.value.some((test) => test.parameter === parameter.id),
  )
  return due.length ? due : parameters.value
})
const rest = computed(() => parameters.value.filter((parameter) => !first.value.includes(parameter)))
const filled = computed(() =>
  Object.fromEntries(Object.entries(draft.value.readings).filter(([, row]) => row.typed.trim() !== '')),
)
const asked = useDebounce(
  computed(() => JSON.stringify(filled.value)),
  160,
)
const meaning = useQuery({
  queryKey: ['meaning', props.system.slug, asked],
  enabled: computed(() => asked.value !== '{}'),
  queryFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/meaning', {
        params: { path: { system: props.system.slug } },
        body: { readings: JSON.parse(asked.value) },
      }),
    ),
  placeholderData: (previous) => previous,
})

const save = useMutation({
  mutationFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/visits', {
        params: { path: { system: props.system.slug } },
        body: {
          id: draft.value.id,
          taken_at: draft.value.at || null,
          readings: filled.value,
          vessel_id: draft.value.bay || null,
          spot: draft.value.spot || null,
          corrects,
        },
      }),
    ),
  onSuccess: async (visit) => {
    lastBooked.value = {
      visit: visit.id,
      slug: props.system.slug,
      system: props.system.name,
      count: visit.readings.length,
    }
    draft.value = { id: ulid(), at: '', bay: '', spot: draft.value.spot, readings: {} }
    await refreshBook()
    await router.push({ name: 'system', params: { system: props.system.slug } })
  },
})

// What was refused stands until something is typed, and not merely until the rows have loaded.
watch(
  () => JSON.stringify([filled.value, draft.value.at]),
  () => save.reset(),
)

const refused = computed<FieldErrors>(() =>
  save.error.value instanceof Refusal ? save.error.value.errors : {},
)
const errors = computed<FieldErrors>(() => ({
  ...(asked.value === '{}' ? {} : meaning.data.value?.errors),
  ...refused.value,
}))
const strips = computed(() => (asked.value === '{}' ? [] : (meaning.data.value?.strips ?? [])))
const strip = (parameter: string) =>
  filled.value[parameter] && !errors.value[`readings.${parameter}`]
    ? strips.value.find((s) => s.parameter === parameter)
    : undefined
const derived = computed(() =>
  strips.value.filter(
    (s) =>
      (s.parameter === 'nh3_n_mg_l' && strip('tan_mg_l')) ||
      (s.parameter === 'do_sat_pct' && strip('do_mg_l')) ||
      (s.parameter === 'co2_mg_l' && strip('ph')),
  ),
)
const asks = computed<Record<string, { text: string }>>(() =>
  asked.value === '{}' ? {} : (meaning.data.value?.asks ?? {}),
)
const shelf = useShelf()
/** Steps of the kit in use, where it is marked in the unit that is chosen. */
const steps = (parameter: string) =>
  shelf.data.value?.kits.find(
    (kit) =>
      kit.in_use &&
      kit.parameter === parameter &&
      (kit.unit === null || kit.unit === draft.value.readings[parameter]?.unit),
  )?.steps ?? []
const burnUnknown = computed(
  () => strip('tan_mg_l') !== undefined && !derived.value.some((s) => s.parameter === 'nh3_n_mg_l'),
)
const trouble = computed(() =>
  save.error.value ? (refused.value.readings ?? save.error.value.message) : null,
)

function submit(): void {
  if (!save.isPending.value) save.mutate()
}
</script>

<template>
  <p v-if="corrects" class="soft">
    This replaces the test as it was booked; the original stays in the book. It was taken at
    {{ original.data.value ? date(original.data.value.taken_at) : '…' }}.
  </p>
  <TodayHere
    v-else
    :slug="system.slug"
    :steps="today.steps.value"
    :causes="today.causes.value"
    :fault="today.fault.value"
  >
    <p v-if="dueNow.length" class="deed">
      Test today:
      <template v-for="(test, i) in dueNow" :key="test.parameter"
        ><template v-if="i">, </template><b>{{ test.name }}</b
        ><template v-if="test.stands === 'late'"> (late)</template></template
      >.
    </p>
    <p v-else class="deed">
      No test is due{{ system.schedule.next ? `. Next: ${system.schedule.next}` : '' }}. Whatever you test
      counts.
    </p>
    <template #besides>
      <p v-if="today.steps.value.length && dueNow.length">
        Due besides: {{ dueNow.map((test) => test.name).join(', ') }}.
      </p>
      <p v-for="one in today.watched.value" :key="one.code">{{ one.text }}</p>
    </template>
  </TodayHere>
  <form class="test" novalidate @submit.prevent="submit">
    <div class="rows">
      <TestRow
        v-for="parameter in first"
        :key="parameter.id"
        v-model="draft.readings[parameter.id]"
        :parameter="parameter"
        :strip="strip(parameter.id)"
        :ask="filled[parameter.id] ? asks[parameter.id]?.text : undefined"
        :steps="steps(parameter.id)"
        :error="errors[`readings.${parameter.id}`]"
      />
      <p v-if="rest.length" class="soft small not-due">Not due</p>
      <TestRow
        v-for="parameter in rest"
        :key="parameter.id"
        v-model="draft.readings[parameter.id]"
        :parameter="parameter"
        :strip="strip(parameter.id)"
        :ask="filled[parameter.id] ? asks[parameter.id]?.text : undefined"
        :steps="steps(parameter.id)"
        :error="errors[`readings.${parameter.id}`]"
      />
    </div>

    <section class="meaning" aria-live="polite">
      <ReadingStrip v-for="s in derived" :key="s.parameter" :strip="s" />
      <p v-if="burnUnknown" class="soft">
        Test pH and temperature too: they decide how much of the ammonia is un-ionised.
      </p>
      <p v-if="meaning.isError.value" class="fault">{{ meaning.error.value?.message }}</p>
    </section>

    <div class="finish">
      <FormField
        v-slot="{ id, status, described }"
        label="Taken at"
        :error="errors.taken_at"
        hint="Leave empty for now"
      >
        <NInput
          v-model:value="draft.at"
          :status="status"
          placeholder=""
          :input-props="{ id, type: 'datetime-local', 'aria-describedby': described }"
        />
      </FormField>
      <PickField
        v-if="system.build.vessels.length > 1"
        label="Bay"
        v-model="draft.bay"
        :choices="[
          { value: '', label: 'no particular bay' },
          ...system.build.vessels.map((v) => ({ value: v.id, label: v.name })),
        ]"
      />
      <FormField
        v-if="filled.clarity_cm"
        v-slot="{ id, status, described }"
        label="Spot where clarity was read"
        hint="always the same spot"
        ><NInput
          v-model:value="draft.spot"
          :status="status"
          placeholder=""
          :maxlength="40"
          :input-props="{ id, list: 'spots', 'aria-describedby': described }" /><datalist id="spots">
          <option v-for="spot in system.spots" :key="spot" :value="spot" /></datalist
      ></FormField>
      <div>
        <NButton
          type="primary"
          size="large"
          attr-type="submit"
          :loading="save.isPending.value"
          :disabled="!system"
          >{{ corrects ? 'Correct the test' : 'Book the test' }}</NButton
        >
        <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
      </div>
    </div>
  </form>
</template>

<style scoped>
.rows {
  border-top: 1px solid var(--soft);
}

.not-due {
  padding: 0.9rem 0 0.2rem;
}

.meaning {
  min-height: 3.5rem;
  padding: 0.5rem 0 1rem;
}

.finish {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 1rem 2rem;
}

.finish > :first-child {
  width: 15rem;
}
</style>
