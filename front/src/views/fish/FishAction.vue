<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, watch } from 'vue'
import { answer, api } from '@/api/client'
import { useMove, useSingles, useSystems } from '@/api/queries'
import type { FishPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PhotoField from '@/parts/PhotoField.vue'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System; group: FishPage['groups'][number] }>()
const emit = defineEmits<{ done: [] }>()

const form = reactive({
  what: 'measured',
  length_cm: '',
  weight_g: '',
  count: '',
  to: '',
  reason: '',
  on: '',
  single: '',
  photo: '',
})
const singles = useSingles(() => props.system.slug)
const named = computed(() => [
  { value: '', label: 'nobody by name' },
  ...(singles.data.value?.fish ?? [])
    .filter((one) => one.group === props.group.id && !one.gone)
    .map((one) => ({ value: one.id, label: one.name })),
])
watch(
  () => form.single,
  (single) => {
    if (single) form.count = '1'
  },
)
const id = ulid()
const systems = useSystems()
const places = computed(() => [
  { value: '', label: '' },
  ...(systems.data.value ?? [])
    .filter((other) => other.slug !== props.system.slug)
    .map((other) => ({ value: other.slug, label: other.name })),
])
const move = useMove(
  () => props.system.slug,
  () => (form.what === 'moved' ? form.to : ''),
)
const whats = [
  { value: 'measured', label: 'were measured' },
  { value: 'moved', label: 'move to another system' },
  { value: 'lost', label: 'died' },
  { value: 'sold', label: 'were sold or given away' },
]
const keep = useSend(
  () => {
    const path = { system: props.system.slug, group: props.group.id, id }
    if (form.what === 'measured')
      return answer(() =>
        api.PUT('/api/systems/{system}/fish/{group}/measures/{id}', {
          params: { path },
          body: { length_cm: form.length_cm, weight_g: form.weight_g, measured_on: form.on },
        }),
      )
    return answer(() =>
      api.PUT('/api/systems/{system}/fish/{group}/{kind}/{id}', {
        params: { path: { ...path, kind: form.what as 'moved' | 'lost' | 'sold' } },
        body: {
          count: form.count,
          to: form.to,
          reason: form.reason,
          happened_on: form.on,
          single: form.single || null,
          photo: form.photo || null,
        },
      }),
    )
  },
  () => emit('done'),
)
</script>

<template>
  <form
    class="action"
    novalidate
    :aria-label="`What happened to ${group.name}`"
    @submit.prevent="keep.send(undefined)"
  >
    <PickField label="What happened" v-model="form.what" :choices="whats" />
    <template v-if="form.what === 'measured'">
      <TypedField
        v-model="form.length_cm"
        label="Mean length"
        unit="cm"
        :error="keep.errors.value.length_cm"
      />
      <TypedField
        v-model="form.weight_g"
        label="or weight of one"
        unit="g"
        :error="keep.errors.value.weight_g"
      />
      <TypedField
        v-model="form.on"
        label="On"
        day
        hint="empty is today"
        :error="keep.errors.value.measured_on"
      />
    </template>
    <template v-else>
      <PickField
        v-if="named.length > 1"
        v-model="form.single"
        label="By name"
        :choices="named"
        :error="keep.errors.value.single"
      />
      <TypedField v-model="form.count" label="How many" :error="keep.errors.value.count" />
      <PickField
        v-if="form.what === 'moved'"
        label="To"
        :error="keep.errors.value.to"
        v-model="form.to"
        :choices="places"
      />
      <TypedField v-model="form.reason" label="Why" words :error="keep.errors.value.reason" />
      <TypedField
        v-model="form.on"
        label="On"
        day
        hint="empty is today"
        :error="keep.errors.value.happened_on"
      />
      <PhotoField v-if="form.what === 'lost'" v-model="form.photo" :error="keep.errors.value.photo" />
    </template>
    <p v-if="move.isError.value" class="fault" role="alert">
      How far apart the two waters are could not be worked out. {{ move.error.value?.message }}
    </p>
    <p v-for="one in move.data.value?.says ?? []" :key="one.text" class="caution">{{ one.text }}</p>
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Book it</NButton>
      <button type="button" class="link-button" @click="emit('done')">Cancel</button>
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
.action {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
  gap: 0.9rem 1.5rem;
  padding: 0.75rem 0 0.75rem 1rem;
  margin: 0.5rem 0;
  border-left: 3px solid var(--straw);
  color: var(--ink);
}

.buttons {
  display: flex;
  gap: 1.5rem;
  align-items: end;
}
</style>
