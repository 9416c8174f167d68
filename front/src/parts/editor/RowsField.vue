<script setup lang="ts">
import { computed } from 'vue'
import { NInput } from 'naive-ui'
import type { FieldErrors } from '@/api/types'
import ChoiceField from '@/parts/ChoiceField.vue'
import { symbolOf } from '@/units/chosen'
import { sentText, shownText } from '@/units/entry'

export interface RowColumn {
  key: string
  label: string
  unit?: string
  choices?: { value: string; label: string }[]
}

const props = defineProps<{
  legend: string
  name: string
  columns: RowColumn[]
  errors: FieldErrors
  fewest: number
  add: string
  /** What somebody else has saved meanwhile, where that stops a save. */
  theirs?: Record<string, string>[]
}>()
const rows = defineModel<Record<string, string>[]>('rows', { required: true })

const said = (all: Record<string, string>[]) =>
  all
    .map((row) =>
      props.columns.map((column) => {
        const value = row[column.key] ?? ''
        return (
          column.choices?.find((choice) => choice.value === value)?.label ?? shownText(value, column.unit)
        )
      }),
    )
    .filter((cells) => cells.some((cell) => cell !== ''))
    .map((cells) => cells.join(' at '))
    .join('; ')
/** What stands in the book by now, beside what is typed, where the two differ. */
const hint = computed(() =>
  props.theirs === undefined || said(props.theirs) === said(rows.value)
    ? undefined
    : `theirs: ${said(props.theirs) || 'empty'}`,
)
const head = (column: RowColumn) => (column.unit ? `${column.label}, ${symbolOf(column.unit)}` : column.label)
const fault = (row: number, key: string) => props.errors[`${props.name}.${row}.${key}`]
const fresh = () => rows.value.push(Object.fromEntries(props.columns.map((column) => [column.key, ''])))
</script>

<!-- A few rows of the same fields: sections of a pond, points of a curve, fittings of a line. -->
<template>
  <fieldset>
    <legend>{{ legend }}</legend>
    <p v-if="errors[name]" class="fault small" role="alert">{{ errors[name] }}</p>
    <p v-if="hint" class="soft small">{{ hint }}</p>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <span v-for="column in columns" :key="column.key">
        <ChoiceField
          v-if="column.choices"
          v-model="row[column.key]"
          :choices="column.choices"
          :status="fault(i, column.key) ? 'error' : undefined"
          :aria-label="`${column.label}, row ${i + 1}`"
        />
        <NInput
          v-else
          :value="shownText(row[column.key] ?? '', column.unit)"
          :status="fault(i, column.key) ? 'error' : undefined"
          :placeholder="head(column)"
          :input-props="{ inputmode: 'decimal', 'aria-label': `${head(column)}, row ${i + 1}` }"
          :maxlength="12"
          @update:value="row[column.key] = sentText($event, column.unit)"
        />
        <span v-if="fault(i, column.key)" class="fault small" role="alert">{{ fault(i, column.key) }}</span>
      </span>
      <button
        v-if="rows.length > fewest"
        type="button"
        class="link-button small"
        :aria-label="`Take row ${i + 1} out`"
        @click="rows.splice(i, 1)"
      >
        Take out
      </button>
    </div>
    <button type="button" class="link-button" @click="fresh">{{ add }}</button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 1rem 0 0;
  padding: 0;
}

.row {
  display: grid;
  grid-template-columns: 14rem 11rem auto;
  gap: 0.75rem;
  margin: 0.35rem 0;
  align-items: start;
}

@media (max-width: 720px) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
