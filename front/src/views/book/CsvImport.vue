<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, ref } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useVocabulary } from '@/api/queries'
import type { CsvPreview, System } from '@/api/types'
import { textOf } from '@/parts/textOf'

const props = defineProps<{ system: System }>()
const vocabulary = useVocabulary()
const text = ref('')
const columns = ref<{ head: string; parameter: string; unit: string | null }[]>([])
const path = () => ({ params: { path: { system: props.system.slug } } })
const body = () => ({
  csv: text.value,
  ...(columns.value.length
    ? { columns: columns.value.map(({ parameter, unit }) => ({ parameter, unit })) }
    : {}),
})

const key = ref('')

const look = useMutation({
  mutationFn: () => answer(() => api.POST('/api/systems/{system}/book/preview', { ...path(), body: body() })),
  onSuccess: (preview: CsvPreview) => (columns.value = preview.columns.map((column) => ({ ...column }))),
})
const take = useMutation({
  mutationFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/book/import', { ...path(), body: { ...body(), progress: key.value } }),
    ),
  onMutate: () => (key.value = ulid()),
  onSuccess: () => refreshBook(),
})
const progress = useQuery({
  queryKey: ['import', key],
  enabled: computed(() => take.isPending.value && key.value !== ''),
  refetchInterval: 400,
  queryFn: () => answer(() => api.GET('/api/imports/{id}', { params: { path: { id: key.value } } })),
})
const trouble = computed(() => {
  const error = take.error.value ?? look.error.value
  return error instanceof Refusal ? (error.errors.csv ?? error.message) : error?.message
})
const units = (parameter: string) =>
  vocabulary.data.value?.parameters.find((row) => row.id === parameter)?.units ?? []

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  text.value = textOf(await file.arrayBuffer())
  columns.value = []
  take.reset()
  look.mutate()
}
function changed(column: { parameter: string; unit: string | null }): void {
  column.unit = units(column.parameter)[0]?.id ?? null
  look.mutate()
}
</script>

<template>
  <details>
    <summary>Import readings from CSV</summary>
    <div class="inside">
      <label>The file <input type="file" accept=".csv,.txt,text/csv" @change="choose" /></label>
      <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
      <template v-if="look.data.value && columns.length">
        <div class="scroll" tabindex="0" role="region" aria-label="Columns of the file">
          <table>
            <thead>
              <tr>
                <th v-for="(column, i) in columns" :key="i">
                  <span class="soft small">{{ column.head || `column ${i + 1}` }}</span><br />
                  <select
                    v-model="column.parameter"
                    :aria-label="`What ${column.head || `column ${i + 1}`} is`"
                    @change="changed(column)"
                  >
                    <option value="">left out</option>
                    <option value="taken_at">the time</option>
                    <option value="bay">the bay</option>
                    <option
                      v-for="parameter in vocabulary.data.value?.parameters ?? []"
                      :key="parameter.id"
                      :value="parameter.id"
                    >
                      {{ parameter.name }}
                    </option>
                  </select>
                  <select
                    v-if="units(column.parameter).length > 1"
                    v-model="column.unit"
                    :aria-label="`Unit of ${column.head}`"
                    @change="look.mutate()"
                  >
                    <option v-for="unit in units(column.parameter)" :key="unit.id" :value="unit.id">
                      {{ unit.symbol }}
                    </option>
                  </select>
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, n) in look.data.value.rows.slice(0, 6)" :key="n">
                <td v-for="(cell, i) in row" :key="i">{{ cell }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p>
          {{ look.data.value.count }} visits with {{ look.data.value.readings }} readings<template
            v-if="look.data.value.known"
            >; {{ look.data.value.known }} are in the book already and stay out</template
          >.
        </p>
        <ul v-if="look.data.value.error_count">
          <li v-for="fault in look.data.value.errors.slice(0, 10)" :key="fault.at" class="fault">
            {{ fault.at }}: {{ fault.message }}
          </li>
          <li v-if="look.data.value.error_count > 10" class="soft">
            and {{ look.data.value.error_count - 10 }} more
          </li>
        </ul>
        <NButton
          type="primary"
          :loading="take.isPending.value"
          :disabled="look.data.value.error_count > 0 || look.data.value.count === 0"
          @click="take.mutate()"
          >Import them</NButton
        >
        <progress
          v-if="take.isPending.value"
          :value="progress.data.value?.done ?? undefined"
          max="1"
          aria-label="Import"
        />
        <p v-if="take.data.value" role="status">
          Kept {{ take.data.value.visits }} visits with {{ take.data.value.readings }} readings.
        </p>
      </template>
    </div>
  </details>
</template>

<style scoped>
summary {
  color: var(--water-ink, var(--water));
  cursor: pointer;
}

.inside {
  display: grid;
  gap: 0.75rem;
  justify-items: start;
  padding: 0.75rem 0 0.75rem 1rem;
  border-left: 3px solid var(--straw);
}

.scroll {
  max-width: 100%;
  overflow-x: auto;
}
</style>
