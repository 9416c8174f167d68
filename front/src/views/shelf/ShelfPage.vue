<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useSession, useShelf, useVocabulary } from '@/api/queries'
import type { Shelf } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'
import ShelfGoods from './ShelfGoods.vue'
import SourceWaters from './SourceWaters.vue'

const shelf = useShelf()
const vocabulary = useVocabulary()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)

const open = ref<string>()
const form = reactive({
  name: '',
  kind: 'drops',
  parameter: 'tan_mg_l',
  unit: '',
  steps: '',
  resolution: '',
  range_from: '',
  range_to: '',
  expires_on: '',
  tests_left: '',
  in_use: 'yes',
})
const parameters = computed(() => vocabulary.data.value?.parameters ?? [])
const units = computed(() => parameters.value.find((row) => row.id === form.parameter)?.units ?? [])
const parameter = (id: string) => parameters.value.find((row) => row.id === id)?.name ?? id
const KINDS = [
  { value: 'drops', label: 'drops' },
  { value: 'strip', label: 'strip' },
  { value: 'photometer', label: 'photometer' },
  { value: 'probe', label: 'probe' },
]
/** Common makes to begin with; every step is there to be changed. */
/** Fills the form with a kit as it is commonly sold. */
const begin = (kit: Shelf['common_kits'][number]) =>
  Object.assign(form, {
    name: kit.name,
    kind: kit.kind,
    parameter: kit.parameter,
    unit: kit.unit ?? '',
    steps: kit.steps.join(' '),
    resolution: text(kit.resolution),
    range_from: text(kit.range_from),
    range_to: text(kit.range_to),
  })
const text = (value: number | null) => (value === null ? '' : String(value))
function edit(kit: Shelf['kits'][number] | null): void {
  Object.assign(form, {
    name: '',
    kind: 'drops',
    parameter: 'tan_mg_l',
    unit: '',
    steps: '',
    resolution: '',
    range_from: '',
    range_to: '',
    expires_on: '',
    tests_left: '',
    in_use: 'yes',
  })
  if (kit)
    Object.assign(form, {
      name: kit.name,
      kind: kit.kind,
      parameter: kit.parameter,
      unit: kit.unit ?? '',
      steps: kit.steps.join(' '),
      resolution: text(kit.resolution),
      range_from: text(kit.range_from),
      range_to: text(kit.range_to),
      expires_on: kit.expires_on ?? '',
      tests_left: text(kit.tests_left),
      in_use: kit.in_use ? 'yes' : 'no',
    })
  open.value = kit?.id ?? ulid()
}
const save = useSend(
  () =>
    answer(() =>
      api.PUT('/api/kits/{id}', { params: { path: { id: open.value ?? '' } }, body: { ...form } }),
    ),
  () => (open.value = undefined),
)
const remove = useSend(
  (id: string) => answer(() => api.DELETE('/api/kits/{id}', { params: { path: { id } } })),
  () => (open.value = undefined),
)
</script>

<template>
  <div class="page">
    <div class="page-head"><h1>Shelf</h1></div>
    <p v-if="shelf.isError.value" class="fault" role="alert">{{ shelf.error.value?.message }}</p>
    <ShelfGoods v-if="shelf.data.value" :shelf="shelf.data.value" :writes="writes" />
    <section class="part" aria-label="Kits">
      <h2>Kits</h2>
      <p class="soft small">
        A reading covers everything nearer to its colour than to the next. The kit in use of each kind decides
        what a typed number means.
      </p>
      <ul class="rows acts">
        <li v-for="kit in shelf.data.value?.kits ?? []" :key="kit.id">
          <b>{{ kit.name }}</b>
          <span class="soft"
            >{{ parameter(kit.parameter) }},
            {{
              kit.steps.length
                ? `steps ${kit.steps.join(', ')}`
                : kit.resolution !== null
                  ? `reads to ${kit.resolution}${kit.range_to === null ? '' : `, up to ${kit.range_to}`}`
                  : kit.kind
            }}<template v-if="kit.tests_left !== null">, {{ kit.tests_left }} tests left</template
            ><template v-if="kit.expires_on">, until {{ day(kit.expires_on) }}</template></span
          >
          <b v-if="kit.expired" class="fault small">expired</b
          ><span v-if="!kit.in_use" class="soft small">not in use</span>
          <button
            v-if="writes"
            type="button"
            class="link-button small"
            :aria-label="`Change ${kit.name}`"
            @click="edit(kit)"
          >
            Change
          </button>
        </li>
      </ul>
      <form v-if="open" class="editor" novalidate @submit.prevent="save.send(undefined)">
        <p v-if="!shelf.data.value?.kits.some((kit) => kit.id === open)" class="whole small">
          Begin with
          <template v-for="(common, i) in shelf.data.value?.common_kits ?? []" :key="common.name"
            ><template v-if="i">, </template
            ><button type="button" class="link-button" @click="begin(common)">
              {{ common.name }}
            </button></template
          >
        </p>
        <TypedField v-model="form.name" label="Name" words :error="save.errors.value.name" />
        <PickField label="Kind" v-model="form.kind" :choices="KINDS" />
        <PickField
          label="Tests"
          v-model="form.parameter"
          :choices="parameters.map((row) => ({ value: row.id, label: row.name }))"
        />
        <PickField
          v-if="units.length > 1"
          label="Unit of the kit"
          :error="save.errors.value.unit"
          v-model="form.unit"
          :choices="units.map((unit) => ({ value: unit.id, label: unit.symbol }))"
        />
        <TypedField
          v-model="form.steps"
          label="Colour steps"
          words
          hint="0 .25 .5 1 2; empty: continuous scale"
          :error="save.errors.value.steps"
        />
        <TypedField
          v-model="form.resolution"
          label="Reads to"
          hint="for a continuous scale"
          :error="save.errors.value.resolution"
        />
        <TypedField
          v-model="form.range_from"
          label="from"
          hint="empty: from nothing"
          :error="save.errors.value.range_from"
        />
        <TypedField
          v-model="form.range_to"
          label="up to"
          hint="its highest figure means at least"
          :error="save.errors.value.range_to"
        />
        <TypedField v-model="form.tests_left" label="Tests left" :error="save.errors.value.tests_left" />
        <TypedField v-model="form.expires_on" label="Expires on" day :error="save.errors.value.expires_on" />
        <PickField
          label="In use"
          v-model="form.in_use"
          :choices="[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no' },
          ]"
        />
        <div class="whole buttons">
          <NButton type="primary" attr-type="submit" :loading="save.pending.value">Save</NButton
          ><button type="button" class="link-button" @click="open = undefined">Cancel</button
          ><button
            v-if="shelf.data.value?.kits.some((kit) => kit.id === open)"
            type="button"
            class="link-button"
            @click="remove.send(open)"
          >
            Remove
          </button>
        </div>
        <p v-if="save.trouble.value" class="fault whole" role="alert">{{ save.trouble.value }}</p>
      </form>
      <button v-else-if="writes" type="button" class="link-button" @click="edit(null)">Add a kit</button>
    </section>
    <SourceWaters v-if="shelf.data.value" :shelf="shelf.data.value" :writes="writes" />
  </div>
</template>
