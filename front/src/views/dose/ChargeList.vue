<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { CoursePage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import DoneAnyway from '@/parts/DoneAnyway.vue'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'

const props = defineProps<{ system: System; page: CoursePage; writes: boolean }>()
const form = reactive({ kind: 'zeolite', mass_g: '', capacity_mg_n_per_g: '' })
const put = useSend(
  (as: { again?: boolean; done?: boolean }, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/charges/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: { ...form, again: as.again ? 'yes' : 'no', done: as.done ? 'yes' : 'no' },
      }),
    ),
  () => Object.assign(form, { mass_g: '', capacity_mg_n_per_g: '' }),
)
const out = useSend((to: { id: string; regenerated: boolean }) =>
  answer(() =>
    api.PUT('/api/systems/{system}/charges/{id}/out', {
      params: { path: { system: props.system.slug, id: to.id } },
      body: { regenerated: to.regenerated ? 'yes' : 'no' },
    }),
  ),
)
const never = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/charges/{id}', {
      params: { path: { system: props.system.slug, id } },
    }),
  ),
)
const KINDS = [
  { value: 'zeolite', label: 'zeolite' },
  { value: 'resin', label: 'ammonia resin' },
  { value: 'carbon', label: 'carbon' },
  { value: 'mixed', label: 'carbon and resin mixed' },
]
const number = (value: number) => figures(value, 2)
</script>

<!-- Charges that hang in the loop: how full, until when, and the brine that empties them. -->
<template>
  <section class="part" aria-label="Charges in the loop">
    <h2>Charges in the loop</h2>
    <p v-if="page.charges.length === 0" class="soft">No zeolite, resin or carbon hangs in this loop.</p>
    <ul class="rows">
      <li v-for="charge in page.charges" :key="charge.id">
        <b>{{ charge.text }}</b>
        <span class="soft"
          >in {{ charge.age }}{{ charge.cycles ? `, regenerated ${charge.cycles} times` : '' }}</span
        >
        <span v-if="charge.used_pct !== null"
          >{{ number(charge.used_pct) }} % used<template v-if="charge.full_in_d !== null"
            >, full in {{ number(charge.full_in_d) }} days</template
          ></span
        >
        <template v-if="writes"
          ><button
            type="button"
            class="link-button small"
            @click="out.send({ id: charge.id, regenerated: false })"
          >
            Taken out</button
          ><button
            v-if="charge.brine"
            type="button"
            class="link-button small"
            @click="out.send({ id: charge.id, regenerated: true })"
          >
            Regenerated and back</button
          ><button type="button" class="link-button small" @click="never.send(charge.id)">
            It never went in
          </button></template
        >
        <p
          v-for="caution in charge.cautions.filter((row) => row.level !== 'note')"
          :key="caution.text"
          class="caution whole"
          :class="caution.level"
        >
          {{ caution.text }}
        </p>
        <p v-if="charge.brine" class="soft small whole">To empty it: {{ charge.brine }}</p>
      </li>
    </ul>
    <form v-if="writes" class="fields" novalidate @submit.prevent="put.send({})">
      <PickField label="Charge" :error="put.errors.value.kind" v-model="form.kind" :choices="KINDS" />
      <TypedField v-model="form.mass_g" label="Amount" unit="g" :error="put.errors.value.mass_g" />
      <TypedField
        v-if="form.kind !== 'carbon'"
        v-model="form.capacity_mg_n_per_g"
        label="Capacity by its data sheet"
        unit="mg N/g"
        placeholder="1.5 assumed"
        :error="put.errors.value.capacity_mg_n_per_g"
      />
      <NButton attr-type="submit" :loading="put.pending.value">Put it in</NButton>
    </form>
    <DoneAnyway
      :errors="put.errors.value"
      refused="kind"
      again="It was put in as well"
      already="It hangs there already"
      @again="put.send({ again: true })"
      @done="put.send({ done: true, again: true })"
    />
    <p v-if="put.trouble.value" class="fault" role="alert">{{ put.trouble.value }}</p>
  </section>
</template>

<style scoped>
.whole {
  flex-basis: 100%;
}
</style>
