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
const NAMES = {
  days: 'Days',
  losses: 'No losses',
  tests: 'Clean tests',
  inspection: 'Looked at, nothing found',
  residuals: 'Nothing left in the water',
} as const
/** What is typed; where nothing is, what is kept. */
const form = reactive<{ days?: string; life_cycle?: string | null }>({})
const days = computed({
  get: () => form.days ?? String(held.value?.protocol_days ?? ''),
  set: (text) => (form.days = text),
})
const cycle = computed({
  get: () => form.life_cycle ?? held.value?.life_cycle ?? 'none',
  set: (id) => (form.life_cycle = id),
})
const keep = useSend(
  () => props.system.slug,
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/quarantine', {
        params: { path: { system: props.system.slug } },
        body: { days: days.value, life_cycle: cycle.value },
      }),
    ),
)
</script>

<!-- The day of a quarantine, and what keeps its gate shut. -->
<template>
  <section v-if="held" class="part" aria-label="Quarantine">
    <h2>Quarantine</h2>
    <p v-if="held.shut" class="caution danger" role="alert">{{ held.shut.text }}</p>
    <p class="lead">
      <template v-if="held.open">The gate is open: nothing is missing.</template>
      <template v-else-if="held.day === null"
        >Nobody wrote down when these fish came. Give the day on Build.</template
      >
      <template v-else-if="held.day < held.days">Day {{ held.day }} of {{ held.days }}.</template>
      <template v-else>Its {{ held.days }} days are over, and the gate is shut.</template>
    </p>
    <p class="soft small">
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
    <form v-if="writes" class="fields" novalidate @submit.prevent="keep.send(undefined)">
      <TypedField
        v-model="days"
        label="My protocol"
        unit="days"
        :hint="held.set ? 'your own' : 'as usual'"
        :error="keep.errors.value.days"
      />
      <PickField
        v-model="cycle"
        label="Looked for"
        :choices="held.life_cycles.map((one) => ({ value: one.id, label: one.name }))"
        :error="keep.errors.value.life_cycle"
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

.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 0.75rem 1.5rem;
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
