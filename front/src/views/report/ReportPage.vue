<script setup lang="ts">
import { computed, ref } from 'vue'
import { useReport, useSystems } from '@/api/queries'
import PickField from '@/parts/PickField.vue'

const MONTHS = 24
const month = (back: number) => {
  const now = new Date()
  const then = new Date(Date.UTC(now.getFullYear(), now.getMonth() - back, 1))
  return {
    value: then.toISOString().slice(0, 7),
    label: new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(then),
  }
}
const periods = computed(() => {
  const year = new Date().getFullYear()
  return [
    ...Array.from({ length: MONTHS }, (_, back) => month(back)),
    ...[0, 1, 2].map((back) => ({ value: String(year - back), label: `all of ${year - back}` })),
  ]
})
const period = ref(month(0).value)
const named = ref('')
const systems = useSystems()
const whose = computed(() => [
  { value: '', label: 'all systems' },
  ...(systems.data.value ?? []).map((one) => ({ value: one.slug, label: one.name })),
])
const report = useReport(period, named)
const csv = computed(() => {
  const query = new URLSearchParams({ period: period.value, ...(named.value ? { system: named.value } : {}) })
  return `/api/reports.csv?${query.toString()}`
})
const SECTIONS = [
  ['water', 'Water'],
  ['to_act', 'Incidents: readings that were to be acted on, by the limits of now'],
  ['feed', 'Feed'],
  ['fish', 'Fish'],
  ['doses', 'Doses'],
  ['service', 'Service'],
  ['costs', 'Costs'],
] as const
const print = () => window.print()
</script>

<!-- What a month or a year was in every system: to be read, printed, or taken along. -->
<template>
  <div class="page">
    <div class="page-head">
      <h1>Report</h1>
      <div class="no-print choice">
        <PickField label="Of" v-model="period" :choices="periods" />
        <PickField label="System" v-model="named" :choices="whose" />
        <button type="button" class="link-button" @click="print">Print it</button>
        <a :href="csv">CSV</a>
        <RouterLink :to="{ name: 'losses' }">Survival and losses</RouterLink>
      </div>
    </div>
    <p v-if="report.isError.value" class="fault" role="alert">{{ report.error.value?.message }}</p>
    <p v-else-if="!report.data.value" class="soft">Reading the book …</p>
    <p v-else-if="!report.data.value.systems.length" class="lead">Nothing was written down then.</p>
    <section
      v-for="system in report.data.value?.systems ?? []"
      :key="system.slug"
      class="part"
      :aria-label="system.name"
    >
      <h2>{{ system.name }}</h2>
      <template v-for="[id, name] in SECTIONS" :key="id">
        <table v-if="system.rows.some((row) => row.section === id)" class="section">
          <caption>
            {{
              name
            }}
          </caption>
          <tbody>
            <tr
              v-for="row in system.rows.filter((one) => one.section === id)"
              :key="`${row.name} ${row.text}`"
            >
              <th scope="row">{{ row.name }}</th>
              <td>{{ row.text }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: end;
  gap: 1.25rem;
}

.section {
  width: 100%;
  max-width: 48rem;
  margin-top: 0.75rem;
}

caption {
  text-align: left;
  font-weight: 700;
  padding: 0.3rem 0;
}

th {
  width: 30%;
  max-width: 14rem;
  text-align: left;
  vertical-align: top;
  font-weight: 400;
}
</style>
