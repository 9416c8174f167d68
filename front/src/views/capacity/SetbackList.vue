<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { Filter, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import ChoiceField from '@/parts/ChoiceField.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System; filter: Filter; writes: boolean }>()
const KINDS: Record<string, string> = {
  wash: 'a hard wash',
  stop: 'a stop without flow',
  medicine: 'a medicine',
  new_media: 'media replaced',
}
const form = reactive({ kind: 'wash', lost_pct: '', happened_on: '' })
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const add = useSend(
  () => props.system.slug,
  (_, key) =>
    answer(() => api.PUT('/api/systems/{system}/filter/setbacks/{id}', { ...path(key), body: { ...form } })),
  () => (form.lost_pct = ''),
)
const remove = useSend(
  () => props.system.slug,
  (id: string) => answer(() => api.DELETE('/api/systems/{system}/filter/setbacks/{id}', path(id))),
)
</script>

<template>
  <section class="part" aria-label="What befell the filter">
    <h2>What befell the filter</h2>
    <p class="soft small">
      What lives there today is followed through the feed of the last twelve weeks, less what these cost.
    </p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="add.send(undefined)">
      <FormField v-slot="{ id, status }" label="It had"
        ><ChoiceField
          :id="id"
          v-model="form.kind"
          :status="status"
          :choices="Object.entries(KINDS).map(([value, label]) => ({ value, label }))"
      /></FormField>
      <TypedField
        v-model="form.lost_pct"
        label="that cost"
        unit="% of its bacteria"
        :error="add.errors.value.lost_pct"
      />
      <TypedField
        v-model="form.happened_on"
        label="On"
        day
        hint="empty is today"
        :error="add.errors.value.happened_on"
      />
      <NButton attr-type="submit" :loading="add.pending.value">Write it down</NButton>
    </form>
    <p v-if="add.trouble.value" class="fault" role="alert">{{ add.trouble.value }}</p>
    <ul class="rows">
      <li v-for="setback in filter.setbacks" :key="setback.id">
        <span class="soft">{{ setback.on }}</span>
        <span
          >{{ KINDS[setback.kind] }}, <b>{{ setback.lost_pct }} %</b> lost</span
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Take back ${KINDS[setback.kind]} of ${setback.on}`"
          @click="remove.send(setback.id)"
        >
          Take back
        </button>
      </li>
    </ul>
  </section>
</template>
