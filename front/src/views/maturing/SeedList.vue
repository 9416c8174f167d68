<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import type { Maturing, System, Vocabulary } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'
import { figures } from '@/units/number'
import { quantity } from '@/units/chosen'

const props = defineProps<{
  system: System
  start: Maturing
  words: Vocabulary | undefined
  writes: boolean
}>()
const form = reactive({
  kind: 'own_media',
  litres: '',
  medium: 'coarse_matting',
  from: '',
  from_stage: '',
  donor: '',
  made_up: 'yes',
  happened_on: '',
})
const kind = computed(() => props.start.seed_kinds.find((one) => one.id === form.kind))
const donor = computed(() => props.start.donors.find((one) => one.slug === form.from))
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const add = useSend(
  (_, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/seeds/{id}', {
        ...path(key),
        body: {
          kind: form.kind,
          litres: kind.value?.media ? form.litres : '',
          medium: form.kind === 'own_media' || !kind.value?.media ? '' : form.medium,
          from: form.kind === 'own_media' ? form.from : '',
          from_stage: form.kind === 'own_media' ? form.from_stage : '',
          donor: form.donor,
          made_up: form.made_up === 'yes',
          happened_on: form.happened_on,
        },
      }),
    ),
  () => Object.assign(form, { litres: '', donor: '', happened_on: '' }),
)
const remove = useSend((id: string) => answer(() => api.DELETE('/api/systems/{system}/seeds/{id}', path(id))))
const number = (value: number) => figures(value, 2)
const DONOR = { clean: 'donor clean', sick: 'donor sick or treated', unknown: 'donor not known' }
</script>

<!-- What was brought into this filter, and what it gave to others. -->
<template>
  <section class="part" aria-label="Seeds">
    <h2>Seeds</h2>
    <p class="soft small">
      Mature media from a healthy system work best, squeezings add little, and bottled cultures do anything
      between nothing and a week. Seed again after each large change of water.
    </p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="add.send(undefined)">
      <PickField
        label="Seed"
        :error="add.errors.value.kind"
        v-model="form.kind"
        :choices="start.seed_kinds.map((one) => ({ value: one.id, label: one.name }))"
      />
      <template v-if="form.kind === 'own_media'">
        <PickField
          label="From"
          :error="add.errors.value.from"
          v-model="form.from"
          :choices="[
            { value: '', label: 'choose' },
            ...start.donors.map((one) => ({ value: one.slug, label: one.name })),
          ]"
        />
        <PickField
          v-if="donor"
          label="Stage of the donor"
          :error="add.errors.value.from_stage"
          v-model="form.from_stage"
          :choices="[
            { value: '', label: 'the liveliest' },
            ...donor.stages.map((one) => ({
              value: one.id,
              label: `${one.name}, ${number(one.litres)} L`,
            })),
          ]"
        />
        <PickField
          label="Replaced by"
          v-model="form.made_up"
          :choices="[
            { value: 'yes', label: 'new medium went in' },
            { value: 'no', label: 'nothing: the donor holds less' },
          ]"
        />
      </template>
      <PickField
        v-else-if="kind?.media"
        label="Medium"
        :error="add.errors.value.medium"
        v-model="form.medium"
        :choices="(words?.media ?? []).map((one) => ({ value: one.id, label: one.name }))"
      />
      <TypedField
        v-if="kind?.media"
        v-model="form.litres"
        label="Media"
        unit="L"
        :error="add.errors.value.litres"
      />
      <PickField
        v-if="kind?.media"
        label="Disease or treatment at the donor"
        :error="add.errors.value.donor"
        v-model="form.donor"
        :choices="[
          { value: '', label: 'look first, then choose' },
          { value: 'clean', label: 'none' },
          { value: 'sick', label: 'yes' },
          { value: 'unknown', label: 'not known' },
        ]"
      />
      <TypedField
        v-model="form.happened_on"
        label="On"
        day
        hint="empty is today"
        :error="add.errors.value.happened_on"
      />
      <NButton attr-type="submit" :loading="add.pending.value">Book the seed</NButton>
    </form>
    <p v-for="one in donor?.against ?? []" :key="one.text" class="caution danger">{{ one.text }}</p>
    <p v-if="add.trouble.value" class="fault" role="alert">{{ add.trouble.value }}</p>
    <ul class="rows">
      <li v-for="seed in start.seeds" :key="seed.id">
        <span class="soft">{{ day(seed.on) }}</span>
        <span
          >{{ seed.text }}: brings <b>{{ number(seed.gain_g_d) }} g N/d</b> ({{ number(seed.low_g_d) }} to
          {{ number(seed.high_g_d) }}), {{ DONOR[seed.donor] }}</span
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Undo the seed of ${seed.on}`"
          @click="remove.send(seed.id)"
        >
          Undo
        </button>
      </li>
      <li v-for="one in start.given" :key="`${one.on} ${one.to}`">
        <span class="soft">{{ day(one.on) }}</span>
        <span
          >{{ quantity(one.litres, 'L', 2) }} of media went from here to {{ one.to
          }}<template v-if="one.made_up">; replaced by new medium</template></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.fields > :first-child {
  flex: 0 1 22rem;
}
</style>
