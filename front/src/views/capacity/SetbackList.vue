<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { Filter, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System; filter: Filter; writes: boolean }>()
const form = reactive({ kind: 'swished', hours: '', share_pct: '', happened_on: '' })
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const add = useSend(
  (_, key) =>
    answer(() => api.PUT('/api/systems/{system}/filter/setbacks/{id}', { ...path(key), body: { ...form } })),
  () => Object.assign(form, { hours: '', share_pct: '' }),
)
const remove = useSend((id: string) =>
  answer(() => api.DELETE('/api/systems/{system}/filter/setbacks/{id}', path(id))),
)
</script>

<template>
  <section class="part" aria-label="Filter setbacks">
    <h2>Filter setbacks</h2>
    <p class="soft small">
      Filter capacity is estimated from the feed of the last year, less what these setbacks cost. Enter what
      was done: what it cost follows from that. More than a tenth is watched for two weeks.
    </p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="add.send(undefined)">
      <PickField
        label="Setback"
        v-model="form.kind"
        :choices="filter.deeds.map((deed) => ({ value: deed.id, label: deed.name }))"
      />
      <TypedField
        v-if="filter.deeds.find((deed) => deed.id === form.kind)?.by_hours"
        v-model="form.hours"
        label="For"
        unit="h"
        :error="add.errors.value.hours"
      />
      <TypedField
        v-model="form.share_pct"
        label="Share of the media"
        unit="%"
        placeholder="100"
        :error="add.errors.value.share_pct"
      />
      <TypedField
        v-model="form.happened_on"
        label="On"
        day
        hint="empty is today"
        :error="add.errors.value.happened_on"
      />
      <NButton attr-type="submit" :loading="add.pending.value">Book it</NButton>
    </form>
    <p v-if="add.trouble.value" class="fault" role="alert">{{ add.trouble.value }}</p>
    <ul class="rows">
      <li v-for="setback in filter.setbacks" :key="setback.id">
        <span class="soft">{{ setback.on }}</span>
        <span
          >{{ setback.name }}<template v-if="setback.hours !== null"> for {{ setback.hours }} h</template
          ><template v-if="setback.share_pct < 100">, {{ setback.share_pct }} % of the media</template>: about
          <b>{{ Math.round(setback.lost_pct) }} %</b> lost<template v-if="setback.high_pct > setback.low_pct"
            >, {{ Math.round(setback.low_pct) }} to {{ Math.round(setback.high_pct) }}</template
          ></span
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Undo ${setback.name} of ${setback.on}`"
          @click="remove.send(setback.id)"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.fields > :first-child {
  flex: 0 1 24rem;
}
</style>
