<script setup lang="ts">
import { NInput } from 'naive-ui'
import { useId } from 'vue'
import type { Strip, Vocabulary } from '@/api/types'
import StateMark from '@/parts/StateMark.vue'

defineProps<{ parameter: Vocabulary['parameters'][number]; strip?: Strip; error?: string }>()
const row = defineModel<{ typed: string; unit: string | null }>({ default: () => ({ typed: '', unit: null }) })
const id = useId()
</script>

<template>
  <div class="row">
    <label :for="id" class="name">{{ parameter.name }}</label>
    <NInput
      v-model:value="row.typed"
      class="typed"
      size="large"
      placeholder=""
      :status="error ? 'error' : undefined"
      :maxlength="20"
      :input-props="{ id, inputmode: 'decimal', autocomplete: 'off', 'aria-describedby': error ? `${id}-fault` : undefined, 'aria-invalid': error ? 'true' : undefined }"
    />
    <select v-if="parameter.units.length > 1" v-model="row.unit" class="unit" :aria-label="`Unit of ${parameter.name}`">
      <option v-for="unit in parameter.units" :key="unit.id" :value="unit.id">{{ unit.symbol }}</option>
    </select>
    <span v-else class="unit soft">{{ parameter.symbol ?? '' }}</span>
    <span class="says">
      <span v-if="error" :id="`${id}-fault`" class="fault" role="alert">{{ error }}</span>
      <template v-else-if="strip">
        <StateMark :state="strip.state" />
        <span v-if="strip.state !== 'good'" class="soft small">{{ strip.passed }}</span>
      </template>
    </span>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 8rem 8rem 9rem minmax(0, 1fr);
  align-items: center;
  gap: 0 1rem;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--hair);
}

.name {
  font-size: 1.1rem;
}

.typed :deep(input) {
  font-size: 1.35rem;
  font-weight: 700;
  text-align: right;
}

select.unit {
  font: inherit;
  color: var(--soft);
  background: transparent;
  border: 0;
  padding: 0.4rem 0;
}

.says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 0.75rem;
}

@media (max-width: 720px) {
  .row {
    grid-template-columns: 6.25rem 6.25rem minmax(0, 1fr);
    gap: 0 0.6rem;
  }

  .name {
    font-size: 1rem;
  }

  .says {
    grid-column: 1 / -1;
  }
}
</style>
