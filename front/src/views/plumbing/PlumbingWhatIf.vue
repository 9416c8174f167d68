<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import type { Plumbing } from '@/api/types'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { whole as volume } from '@/units/chosen'

const props = defineProps<{ plumbing: Plumbing; slug: string }>()
const form = reactive({ line: '', bore_mm: '', valve_open_pct: '', share_pct: '', second: 'no', pump: '' })

const lines = computed(() => [
  { value: '', label: '' },
  ...props.plumbing.lines
    .filter((line) => line.to.kind !== 'outside')
    .map((line) => ({ value: line.id, label: line.name })),
])
const chosen = computed(() => props.plumbing.lines.find((line) => line.id === form.line))
const pumps = computed(() => [
  { value: '', label: '' },
  ...props.plumbing.pumps
    .filter((pump) => pump.ask !== null || !pump.running)
    .map((pump) => ({ value: pump.id, label: `${pump.name} ${pump.running ? 'off' : 'on'}` })),
])
const changed = computed(
  () =>
    (form.line !== '' &&
      (form.bore_mm !== '' ||
        form.valve_open_pct !== '' ||
        form.share_pct !== '' ||
        form.second === 'yes')) ||
    form.pump !== '',
)
const asked = useDebounce(
  computed(() => (changed.value ? JSON.stringify(form) : '')),
  250,
)
const then = useQuery({
  queryKey: ['plumbing-what-if', () => props.slug, asked],
  enabled: computed(() => asked.value !== ''),
  retry: false,
  placeholderData: (previous) => previous,
  queryFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/plumbing/what-if', {
        params: { path: { system: props.slug } },
        body: JSON.parse(asked.value),
      }),
    ),
})
const errors = computed(() => (then.error.value instanceof Refusal ? then.error.value.errors : {}))

const whole = (value: number | null | undefined) =>
  value === null || value === undefined
    ? '–'
    : new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 }).format(value)
const rows = computed(() => {
  const after = then.data.value
  if (!after || asked.value === '') return []
  return [
    {
      name: 'Flow through the filter',
      now: volume(props.plumbing.flow_l_h, 'L/h'),
      then: volume(after.flow_l_h, 'L/h'),
    },
    {
      name: 'Turnover, times an hour',
      now: props.plumbing.turnover?.value?.toFixed(2) ?? '–',
      then: after.turnover?.value?.toFixed(2) ?? '–',
    },
    ...props.plumbing.stages
      .filter((stage) => stage.level_mm !== null)
      .map((stage) => {
        const other = after.stages.find((candidate) => candidate.id === stage.id)
        return {
          name: `${stage.name}: level, mm${stage.spare_mm === null ? '' : ' (left before air)'}`,
          now: `${whole(stage.level_mm)}${stage.spare_mm === null ? '' : ` (${whole(stage.spare_mm)})`}`,
          then: `${whole(other?.level_mm)}${stage.spare_mm === null ? '' : ` (${whole(other?.spare_mm)})`}`,
        }
      }),
    ...props.plumbing.lines
      .filter((line) => line.id === form.line && line.valve_open_pct !== null)
      .map((line) => ({
        name: `${line.name}: valve open, %`,
        now: whole(line.valve_open_pct),
        then: whole(after.lines.find((candidate) => candidate.id === line.id)?.valve_open_pct),
      })),
    ...props.plumbing.lines
      .filter((line) => line.id === form.line)
      .map((line) => {
        const other = after.lines.find((candidate) => candidate.id === line.id)
        return {
          name: `${line.name}: flow, L/h (drop, mm)`,
          now: `${whole(line.flow_l_h)} (${whole(line.drop?.value)})`,
          then: `${whole(other?.flow_l_h)} (${whole(other?.drop?.value)})`,
        }
      }),
  ]
})
const fresh = computed(() =>
  asked.value === ''
    ? []
    : (then.data.value?.cautions ?? []).filter(
        (caution) => !props.plumbing.cautions.some((known) => known.text === caution.text),
      ),
)
</script>

<template>
  <section class="part" aria-label="What if">
    <h2>What if</h2>
    <div class="fields">
      <PickField label="This line" :error="errors.line" v-model="form.line" :choices="lines" />
      <template v-if="form.line">
        <TypedField v-model="form.bore_mm" label="Bore" unit="mm" :error="errors.bore_mm" />
        <TypedField
          v-model="form.valve_open_pct"
          label="Valve open"
          unit="%"
          :error="errors.valve_open_pct"
        />
        <TypedField
          v-if="chosen?.three_way"
          v-model="form.share_pct"
          label="or its share of the two"
          unit="%"
          hint="says how far to open it"
          :error="errors.share_pct"
        />
        <PickField
          label="A second line beside it"
          v-model="form.second"
          :choices="[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]"
        />
      </template>
      <PickField v-if="pumps.length > 1" label="This pump" v-model="form.pump" :choices="pumps" />
    </div>
    <div aria-live="polite">
      <p v-if="then.data.value?.trouble && asked" class="fault">{{ then.data.value.trouble }}</p>
      <table v-if="rows.length" class="compare">
        <thead>
          <tr>
            <th></th>
            <th class="num">As built</th>
            <th class="num">Then</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <td>{{ row.name }}</td>
            <td class="num soft">{{ row.now }}</td>
            <td class="num">
              <b>{{ row.then }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="caution in fresh" :key="caution.text" :class="{ fault: caution.level === 'danger' }">
        {{ caution.text }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.9rem 1.5rem;
  margin-bottom: 0.9rem;
}

p {
  margin-top: 0.5rem;
}

.compare {
  max-width: 36rem;
}
</style>
