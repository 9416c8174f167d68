<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { ServicePage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System; parts: ServicePage['parts'] }>()
const form = reactive({ name: '', part: '', every_d: '', minutes: '' })
const choices = computed(() => [
  { value: '', label: 'choose' },
  ...props.system.build.vessels.map((one) => ({ value: `vessel:${one.id}`, label: one.name })),
  ...props.system.build.stages.map((one) => ({ value: `stage:${one.id}`, label: one.name })),
  ...props.system.build.pumps.map((one) => ({ value: `pump:${one.id}`, label: one.name })),
  ...props.parts
    .filter((one) => one.kind === 'system')
    .map((one) => ({ value: one.key, label: 'the whole system' })),
])
const own = computed(() =>
  props.parts.flatMap((part) =>
    part.jobs
      .filter((job) => job.own)
      .map((job) => ({ id: job.id.replace('own:', ''), name: job.name, part: part.name })),
  ),
)
const add = useSend<void>(
  (_, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/own-jobs/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body: { ...form },
      }),
    ),
  () => Object.assign(form, { name: '', part: '', every_d: '', minutes: '' }),
)
const remove = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/own-jobs/{id}', {
      params: { path: { system: props.system.slug, id } },
    }),
  ),
)
</script>

<template>
  <section class="part" aria-label="Jobs of your own">
    <h2>Jobs of your own</h2>
    <ul v-if="own.length" class="rows">
      <li v-for="job in own" :key="job.id">
        {{ job.part }}: {{ job.name }}
        <button type="button" class="link-button small" @click="remove.send(job.id)">Remove</button>
      </li>
    </ul>
    <form class="fields" novalidate @submit.prevent="add.send()">
      <TypedField
        v-model="form.name"
        label="What is done"
        :words="true"
        :longest="80"
        :error="add.errors.value.name"
      />
      <PickField label="On what" :error="add.errors.value.part" v-model="form.part" :choices="choices" />
      <TypedField v-model="form.every_d" label="Every" unit="days" :error="add.errors.value.every_d" />
      <TypedField
        v-model="form.minutes"
        label="Takes"
        unit="min"
        hint="empty is 15"
        :error="add.errors.value.minutes"
      />
      <NButton attr-type="submit" :loading="add.pending.value">Add it</NButton>
    </form>
    <p v-if="add.trouble.value" class="fault" role="alert">{{ add.trouble.value }}</p>
  </section>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.5rem;
  margin-top: 0.75rem;
}
</style>
