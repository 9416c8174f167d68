<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useMove, useSystems } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System }>()
const open = ref(false)
const form = reactive({ to: '', reason: '', on: '', sleep: 'no' })
const systems = useSystems()
const others = computed(() => (systems.data.value ?? []).filter((one) => one.slug !== props.system.slug))
const places = computed(() => [
  { value: '', label: '' },
  ...others.value.map((one) => ({ value: one.slug, label: one.asleep ? `${one.name}, asleep` : one.name })),
])
const wakes = computed(() => others.value.find((one) => one.slug === form.to)?.asleep ?? false)
const move = useMove(
  () => props.system.slug,
  () => form.to,
)
const keep = useSend(
  (_input: undefined, id) =>
    answer(() =>
      api.PUT('/api/systems/{system}/moves/{id}', {
        params: { path: { system: props.system.slug, id } },
        body: {
          to: form.to,
          reason: form.reason,
          happened_on: form.on,
          sleep: form.sleep === 'yes',
          wake: wakes.value,
        },
      }),
    ),
  () => (open.value = false),
)
</script>

<!-- All fish of a system as one move: in for winter, out again, or a loop that is emptied. -->
<template>
  <button v-if="!open" type="button" class="link-button" @click="open = true">Move all of them</button>
  <form v-else novalidate aria-label="Move all of them" @submit.prevent="keep.send(undefined)">
    <PickField v-model="form.to" label="To" :choices="places" :error="keep.errors.value.to" />
    <TypedField
      v-model="form.reason"
      label="Why"
      words
      placeholder="indoors for winter"
      :error="keep.errors.value.reason"
    />
    <TypedField
      v-model="form.on"
      label="On"
      day
      hint="empty is today"
      :error="keep.errors.value.happened_on"
    />
    <PickField
      v-model="form.sleep"
      :label="`Then ${system.name}`"
      :choices="[
        { value: 'no', label: 'runs on, its filter fed' },
        { value: 'yes', label: 'is put to sleep' },
      ]"
    />
    <p v-if="move.isError.value" class="fault whole" role="alert">
      How far apart the two waters are could not be worked out. {{ move.error.value?.message }}
    </p>
    <p v-for="one in move.data.value?.says ?? []" :key="one.text" class="caution whole">{{ one.text }}</p>
    <p v-if="wakes" class="caution whole">
      It wakes with this move. Its filter starved meanwhile: Maturing says how it starts again.
    </p>
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Move all of them</NButton>
      <button type="button" class="link-button" @click="open = false">Cancel</button>
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  gap: 0.75rem 1.5rem;
  padding: 0.75rem 0 0.75rem 1rem;
  border-left: 3px solid var(--straw);
}

.whole {
  grid-column: 1 / -1;
}

.buttons {
  display: flex;
  gap: 1.5rem;
  align-items: end;
}
</style>
