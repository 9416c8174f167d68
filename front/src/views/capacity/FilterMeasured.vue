<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { Filter, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'

const props = defineProps<{ system: System; filter: Filter; writes: boolean }>()
const form = reactive({ flow_l_h: '', in_mg_l: '', out_mg_l: '' })
const measure = useSend(
  (_, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/filter/tests/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: { ...form },
      }),
    ),
  () => Object.assign(form, { in_mg_l: '', out_mg_l: '' }),
)
const believe = useSend((test: string | null) =>
  answer(() =>
    api.PUT('/api/systems/{system}/filter/believed', {
      params: { path: { system: props.system.slug } },
      body: { test },
    }),
  ),
)
const run = useSend((_, key) =>
  answer(() =>
    api.PUT('/api/systems/{system}/filter/runs/{id}', {
      params: { path: { system: props.system.slug, id: key } },
      body: {},
    }),
  ),
)
const number = (value: number) => figures(value)
const against = (ratio: number | null) =>
  ratio === null
    ? ''
    : ratio >= 1
      ? `${number(100 * (ratio - 1))} % more than estimated`
      : `${number(100 * (1 - ratio))} % less than estimated`
</script>

<template>
  <section class="part" aria-label="Measured">
    <h2>Measured against estimated</h2>
    <p class="soft small">
      Test ammonia before and after the filter at the same minute. With the flow, that gives its real removal.
    </p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="measure.send(undefined)">
      <TypedField
        v-model="form.in_mg_l"
        label="Ammonia before"
        unit="mg/L as N"
        :error="measure.errors.value.in_mg_l"
      />
      <TypedField
        v-model="form.out_mg_l"
        label="Ammonia after"
        unit="mg/L as N"
        :error="measure.errors.value.out_mg_l"
      />
      <TypedField v-model="form.flow_l_h" label="Flow" unit="L/h" :error="measure.errors.value.flow_l_h" />
      <NButton attr-type="submit" :loading="measure.pending.value">Work it out</NButton>
    </form>
    <p v-if="writes" class="small">
      <button type="button" class="link-button" @click="run.send(undefined)">
        Or from the ammonia readings of the last four weeks
      </button>
      <span class="soft">the load, less what stayed in the water or left with changes</span>
    </p>
    <p v-if="run.errors.value.readings ?? run.trouble.value" class="fault" role="alert">
      {{ run.errors.value.readings ?? run.trouble.value }}
    </p>
    <p v-if="measure.trouble.value ?? believe.trouble.value" class="fault" role="alert">
      {{ measure.trouble.value ?? believe.trouble.value }}
    </p>
    <ul class="rows">
      <li v-for="test in filter.tests" :key="test.id">
        <span
          >It removed <FigureButton :figure="test.removal" />, where {{ number(test.expected_g_d) }} were
          against the estimate: <b>{{ against(test.ratio) }}</b>
          <span class="soft">{{ test.run ? 'by a run of readings, ' : '' }}{{ test.age }}</span></span
        >
        <template v-if="writes">
          <button v-if="test.in_use" type="button" class="link-button small" @click="believe.send(null)">
            Use the estimate again
          </button>
          <button v-else type="button" class="link-button small" @click="believe.send(test.id)">
            Use this measurement
          </button>
        </template>
        <b v-if="test.in_use" class="small">in use</b>
      </li>
    </ul>
  </section>
</template>
