<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useReckonedWhatIfs, useWhatIfs } from '@/api/queries'
import type { Capacity, Figure, Room, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{
  system: System
  now: Capacity
  then: Capacity
  given: Record<string, string>
  writes: boolean
}>()
const emit = defineEmits<{ open: [changes: Record<string, string>] }>()

const kept = useWhatIfs(() => props.system.slug)
const reckoned = useReckonedWhatIfs(
  () => props.system.slug,
  () => (kept.data.value ?? []).map((row) => row.id),
)
const name = ref('')
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const keep = useSend(
  (_, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/what-ifs/{id}', {
        ...path(key),
        body: { ...props.given, name: name.value },
      }),
    ),
  () => (name.value = ''),
)
const remove = useSend((id: string) =>
  answer(() => api.DELETE('/api/systems/{system}/what-ifs/{id}', path(id))),
)

type Side = {
  load: Figure | null
  capacity: Figure | null
  grown: Figure | null
  settles: Figure[]
  room: Room | null
}
const EMPTY: Side = { load: null, capacity: null, grown: null, settles: [], room: null }
const asked = computed(() => Object.keys(props.given).length > 0)
const sides = computed<{ id: string; name: string; side: Side; changes?: Record<string, string> }[]>(() => [
  { id: 'now', name: 'Now', side: props.now },
  ...(asked.value ? [{ id: 'then', name: 'Then', side: props.then as Side }] : []),
  ...(kept.data.value ?? []).map((row, i) => ({
    id: row.id,
    name: row.name,
    side: reckoned.value[i]?.data ?? EMPTY,
    changes: row.changes,
  })),
])
const settled = (side: Side, label: string) => side.settles.find((figure) => figure.label === label) ?? null
const rows: { name: string; figure: (side: Side) => Figure | null }[] = [
  { name: 'Load, g N/day', figure: (side) => side.load },
  { name: 'Filter capacity today', figure: (side) => side.capacity },
  { name: 'Capacity when fully grown', figure: (side) => side.grown },
  { name: 'Ammonia settles at, mg/L', figure: (side) => settled(side, 'Ammonia') },
  { name: 'Nitrite, mg/L', figure: (side) => settled(side, 'Nitrite') },
  { name: 'Oxygen, mg/L', figure: (side) => settled(side, 'Oxygen') },
  { name: 'More fish now', figure: (side) => side.room?.fish_now ?? null },
  { name: 'More fish in steps', figure: (side) => side.room?.fish_grown ?? null },
]
</script>

<template>
  <section v-if="sides.length > 1" class="part" aria-label="What-ifs compared">
    <h2>What-ifs compared</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="What-ifs side by side">
      <table>
        <thead>
          <tr>
            <th></th>
            <th v-for="column in sides" :key="column.id" class="num">
              <button
                v-if="column.changes"
                type="button"
                class="link-button"
                :title="
                  Object.entries(column.changes)
                    .map(([key, value]) => `${key} ${value}`)
                    .join(', ')
                "
                @click="emit('open', column.changes)"
              >
                {{ column.name }}
              </button>
              <template v-else>{{ column.name }}</template>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <td>{{ row.name }}</td>
            <td v-for="column in sides" :key="column.id" class="num">
              <FigureButton
                v-if="row.figure(column.side)"
                :figure="row.figure(column.side)!"
                bare
                :strong="column.id === 'then'"
              /><template v-else>–</template>
            </td>
          </tr>
          <tr>
            <td>First limit</td>
            <td v-for="column in sides" :key="column.id" class="num">{{ column.side.room?.first ?? '–' }}</td>
          </tr>
          <tr v-if="writes && kept.data.value?.length">
            <td></td>
            <td v-for="column in sides" :key="column.id" class="num">
              <button
                v-if="column.changes"
                type="button"
                class="link-button small"
                :aria-label="`Remove ${column.name}`"
                @click="remove.send(column.id)"
              >
                Remove
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <form v-if="asked && writes" novalidate @submit.prevent="keep.send(undefined)">
      <TypedField v-model="name" label="Name for this what-if" words :error="keep.errors.value.name" />
      <NButton attr-type="submit" :loading="keep.pending.value">Save</NButton>
    </form>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </section>
</template>

<style scoped>
table {
  width: auto;
  min-width: 30rem;
}

form {
  display: flex;
  gap: 1rem;
  align-items: end;
  margin-top: 1rem;
  max-width: 28rem;
}
</style>
