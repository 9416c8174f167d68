<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useVariants } from '@/api/queries'
import type { BuildFigures, System } from '@/api/types'
import TypedField from '@/parts/TypedField.vue'
import { symbolOf, whole, wholeNumber } from '@/units/chosen'
import { figures } from '@/units/number'

const props = defineProps<{ system: System; writes: boolean }>()
const router = useRouter()
const variants = useVariants(() => props.system.slug)
const name = ref('')
let key = ulid()
const path = () => ({ system: props.system.slug })
const plan = useMutation({
  mutationFn: () =>
    answer(() =>
      api.PUT('/api/systems/{system}/variants/{id}', {
        params: { path: { ...path(), id: key } },
        body: { name: name.value },
      }),
    ),
  onSuccess: async (made) => {
    key = ulid()
    name.value = ''
    await refreshBook()
    await router.push({ name: 'build', params: { system: made.slug } })
  },
})
const remove = useMutation({
  mutationFn: () => answer(() => api.DELETE('/api/systems/{system}/variants', { params: { path: path() } })),
  onSuccess: async (standing) => {
    await refreshBook()
    await router.push({ name: 'build', params: { system: standing.slug } })
  },
})
const errors = computed(() => (plan.error.value instanceof Refusal ? plan.error.value.errors : {}))
const trouble = computed(() => errors.value.id ?? (errors.value.name ? null : plan.error.value?.message))

const number = (value: number | null, digits = 3) => (value === null ? 'not known' : figures(value, digits))
const flow = (value: number | null) => (value === null ? 'not known' : wholeNumber(value, 'L/h'))
interface Row {
  head: string
  of: (build: BuildFigures) => string
}
const rows: Row[] = [
  { head: 'Water', of: (build) => whole(build.volume_l, 'L') },
  { head: `Flow, ${symbolOf('L/h')}`, of: (build) => flow(build.flow_l_h) },
  { head: 'Turnover, times an hour', of: (build) => number(build.turnovers) },
  { head: 'Lowest chamber below the bays, mm', of: (build) => number(build.drop_mm, 2) },
  { head: 'Spare before the pump draws air, mm', of: (build) => number(build.spare_mm, 2) },
  { head: 'Filter, grown and clean, g N/d', of: (build) => number(build.capacity_g_d) },
  {
    head: 'Room it takes, m²',
    of: (build) =>
      figures(build.footprint_m2, 3) + (build.unmeasured ? `, without ${build.unmeasured} chambers` : ''),
  },
  { head: 'Power, W', of: (build) => figures(build.power_w, 3) },
  {
    head: 'Cost',
    of: (build) =>
      build.cost === null
        ? 'nothing entered'
        : figures(build.cost, 5) +
          (build.uncosted ? `, ${build.uncosted} of ${build.parts} parts without one` : ''),
  },
]
</script>

<!-- Another build beside the one that stands, compared before anything is glued. -->
<template>
  <section class="part" aria-label="Planned builds">
    <h2>Planned beside it</h2>
    <div
      v-if="(variants.data.value?.length ?? 0) > 1"
      class="scroll"
      tabindex="0"
      role="region"
      aria-label="Builds compared"
    >
      <table>
        <thead>
          <tr>
            <th></th>
            <th v-for="build in variants.data.value" :key="build.slug" class="num">
              <b v-if="build.slug === system.slug">{{ build.name }}</b>
              <RouterLink v-else :to="{ name: 'build', params: { system: build.slug } }">{{
                build.name
              }}</RouterLink>
              <span class="soft small">{{ build.planned ? ' planned' : ' stands' }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.head">
            <th scope="row">{{ row.head }}</th>
            <td v-for="build in variants.data.value" :key="build.slug" class="num">{{ row.of(build) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="build in variants.data.value?.filter((one) => one.trouble)" :key="build.slug" class="fault">
      {{ build.name }}: {{ build.trouble }}
    </p>
    <form v-if="writes" class="plan" novalidate @submit.prevent="plan.mutate()">
      <TypedField
        v-model="name"
        label="Copy this build as a plan called"
        :words="true"
        :longest="60"
        :error="errors.name"
      />
      <NButton attr-type="submit" :loading="plan.isPending.value">Copy it</NButton>
      <button v-if="system.plan_of" type="button" class="link-button remove" @click="remove.mutate()">
        Remove this plan
      </button>
    </form>
    <p v-if="trouble ?? remove.error.value" class="fault" role="alert">
      {{ trouble ?? remove.error.value?.message }}
    </p>
  </section>
</template>

<style scoped>
.plan {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.5rem;
  margin-top: 0.75rem;
}

.remove {
  color: var(--rust-ink);
}
</style>
