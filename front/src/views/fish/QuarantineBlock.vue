<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import { useQuarantine } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'

const props = defineProps<{ system: System; writes: boolean }>()
const query = useQuarantine(
  () => props.system.slug,
  () => true,
)
const held = computed(() => query.data.value)
const hospital = computed(() => props.system.kind === 'hospital')
const title = computed(() => (hospital.value ? 'Hospital' : 'Quarantine'))
const NAMES = {
  days: 'Days',
  losses: 'No losses',
  tests: 'Clean tests',
  inspection: 'Looked at, nothing found',
  residuals: 'Nothing left in the water',
  matched: 'As the water it goes back to',
} as const
const KEYS = [
  'days',
  'life_cycle',
  'looks_every_d',
  'tests_a_day',
  'hold_c',
  'c_a_day',
  'air_c',
  'treating',
  'own_nets',
  'footbath',
] as const
type Key = (typeof KEYS)[number]
/** What is typed; where nothing is, what is kept. */
const form = reactive<Partial<Record<Key, string | null>>>({})
const kept = (key: Key): string => {
  const value = held.value?.[key === 'days' ? 'protocol_days' : key]
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return value === null || value === undefined ? '' : String(value)
}
const typed = (key: Key): string => form[key] ?? kept(key)
const keep = useSend(() => {
  const body = Object.fromEntries(KEYS.map((key) => [key, typed(key)]))
  return answer(() =>
    api.PUT('/api/systems/{system}/quarantine', {
      params: { path: { system: props.system.slug } },
      body: { ...body, own_nets: typed('own_nets') === 'yes', footbath: typed('footbath') === 'yes' },
    }),
  )
})
const NUMBERS = [
  { key: 'days', label: 'My protocol', unit: 'days' },
  { key: 'looks_every_d', label: 'Every fish looked at each', unit: 'days' },
  { key: 'tests_a_day', label: 'Tests a day', unit: null },
  { key: 'hold_c', label: 'Temperature to hold', unit: '°C', hint: 'empty is as it comes' },
  { key: 'c_a_day', label: 'Brought there by', unit: '°C a day' },
  { key: 'air_c', label: 'Air of the shed', unit: '°C' },
] as const
/** A sick fish stays until it is well: no days, and nothing that is given to all that come. */
const numbers = computed(() => NUMBERS.filter((one) => !hospital.value || one.key !== 'days'))
const YES = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
]
const lists = computed(() =>
  [
    {
      key: 'life_cycle' as const,
      label: 'Looked for',
      choices: (held.value?.life_cycles ?? []).map((one) => ({ value: one.id, label: one.name })),
    },
    {
      key: 'treating' as const,
      label: 'Treatment on arrival',
      choices: [
        { value: 'none', label: 'only after a finding' },
        { value: 'salt', label: 'salt' },
        { value: 'flukes', label: 'a course against flukes' },
      ],
    },
    { key: 'own_nets' as const, label: 'Own nets and tools', choices: YES },
    { key: 'footbath' as const, label: 'Footbath', choices: YES },
  ].filter((one) => !hospital.value || (one.key !== 'life_cycle' && one.key !== 'treating')),
)
</script>

<!-- The day of a quarantine, and what keeps its gate shut. -->
<template>
  <section v-if="held" class="part" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="held.shut" class="caution danger" role="alert">{{ held.shut.text }}</p>
    <p class="lead">
      <template v-if="hospital && held.open">Nothing keeps it here any longer. It may go back.</template>
      <template v-else-if="hospital"
        ><template v-if="held.day !== null">Day {{ held.day }}. </template>It stays until nothing below is
        missing.</template
      >
      <template v-else-if="held.open">The gate is open: nothing is missing.</template>
      <template v-else-if="held.day === null"
        >Nobody wrote down when these fish came. Give the day on Build.</template
      >
      <template v-else-if="held.day < held.days">Day {{ held.day }} of {{ held.days }}.</template>
      <template v-else>Its {{ held.days }} days are over, and the gate is shut.</template>
    </p>
    <p v-if="!hospital" class="soft small">
      <template v-if="held.since">Counted from {{ day(held.since) }}, when the last fish came. </template>One
      more fish into the same water starts it again for all of them.
      <template v-if="held.limiting === 'life_cycle'">
        The life cycle of what is looked for takes longer than your days in water so warm.</template
      >
    </p>
    <ul class="rows gate" aria-label="Gate">
      <li v-for="one in held.conditions" :key="one.id" :class="{ met: one.met }">
        <b>{{ NAMES[one.id] }}</b>
        <span>{{ one.met ? 'yes' : one.missing?.text }}</span>
      </li>
    </ul>
    <p v-for="one in held.cautions.filter((each) => each.level === 'danger')" :key="one.code" class="caution">
      {{ one.text }}
    </p>
    <ul class="rows says" aria-label="Protocol">
      <li v-for="one in held.says" :key="one.code">{{ one.text }}</li>
    </ul>
    <form v-if="writes" class="fields" novalidate @submit.prevent="keep.send(undefined)">
      <TypedField
        v-for="field in numbers"
        :key="field.key"
        :model-value="typed(field.key)"
        :label="field.label"
        :unit="field.unit"
        :hint="
          field.key === 'days'
            ? held.set
              ? 'your own'
              : 'as usual'
            : 'hint' in field
              ? field.hint
              : undefined
        "
        :error="keep.errors.value[field.key]"
        @update:model-value="form[field.key] = $event"
      />
      <PickField
        v-for="list in lists"
        :key="list.key"
        :model-value="typed(list.key)"
        :label="list.label"
        :choices="list.choices"
        :error="keep.errors.value[list.key]"
        @update:model-value="form[list.key] = $event ?? ''"
      />
      <NButton attr-type="submit" :loading="keep.pending.value">Keep it</NButton>
    </form>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </section>
</template>

<style scoped>
.gate li {
  display: grid;
  grid-template-columns: 14rem minmax(0, 1fr);
  gap: 0 1rem;
}

.met span {
  color: var(--soft);
}

.says {
  margin-top: 1rem;
}

.says li {
  display: block;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 0.75rem 1.5rem;
  align-items: start;
  margin-top: 0.9rem;
}

.fields > :last-child {
  margin-top: 1.55rem;
}

@media (max-width: 720px) {
  .gate li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
