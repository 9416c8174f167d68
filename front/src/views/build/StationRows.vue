<script setup lang="ts">
import { NInput } from 'naive-ui'
import type { FieldErrors } from '@/api/types'

defineProps<{ errors: FieldErrors }>()
const rows = defineModel<{ at_m: string; area_m2: string }[]>('rows', { required: true })

const columns = [
  { key: 'at_m', label: 'Along the pond, m' },
  { key: 'area_m2', label: 'Wetted area across, m²' },
] as const
</script>

<!-- Cross-sections of an irregular pond: how far along, and how large the wetted area is there. -->
<template>
  <fieldset>
    <legend>Sections</legend>
    <p v-if="errors.stations" class="fault small" role="alert">{{ errors.stations }}</p>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <span v-for="column in columns" :key="column.key">
        <NInput v-model:value="row[column.key]" :status="errors[`stations.${i}.${column.key}`] ? 'error' : undefined" :placeholder="i === 0 ? column.label : ''" :input-props="{ inputmode: 'decimal', 'aria-label': `${column.label}, section ${i + 1}` }" :maxlength="12" />
        <span v-if="errors[`stations.${i}.${column.key}`]" class="fault small" role="alert">{{ errors[`stations.${i}.${column.key}`] }}</span>
      </span>
      <button v-if="rows.length > 2" type="button" class="link-button small" :aria-label="`Take section ${i + 1} out`" @click="rows.splice(i, 1)">Take out</button>
    </div>
    <button type="button" class="link-button" @click="rows.push({ at_m: '', area_m2: '' })">Another section</button>
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
  grid-template-columns: 12rem 12rem auto;
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
