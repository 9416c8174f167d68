<script setup lang="ts">
import { NInput } from 'naive-ui'
import { useId } from 'vue'
import type { Strip, Vocabulary } from '@/api/types'
import StateMark from '@/parts/StateMark.vue'

defineProps<{
  parameter: Vocabulary['parameters'][number]
  strip?: Strip
  error?: string
  ask?: string
  steps?: number[]
}>()
const row = defineModel<{ typed: string; unit: string | null }>({
  default: () => ({ typed: '', unit: null }),
})
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
      :input-props="{
        id,
        inputmode: 'decimal',
        autocomplete: 'off',
        'aria-describedby': error ? `${id}-fault` : undefined,
        'aria-invalid': error ? 'true' : undefined,
      }"
    />
    <select
      v-if="parameter.units.length > 1"
      v-model="row.unit"
      class="unit"
      :aria-label="`Unit of ${parameter.name}`"
    >
      <option v-for="unit in parameter.units" :key="unit.id" :value="unit.id">{{ unit.symbol }}</option>
    </select>
    <span v-else class="unit soft">{{ parameter.symbol ?? '' }}</span>
    <span class="says">
      <span v-if="error" :id="`${id}-fault`" class="fault" role="alert">{{ error }}</span>
      <template v-else-if="strip">
        <StateMark :state="strip.state" />
        <span v-if="strip.state !== 'good'" class="soft small">{{ strip.passed }}</span>
        <span v-if="ask" class="ask small" role="status">{{ ask }}</span>
      </template>
    </span>
    <span v-if="steps?.length" class="steps" role="group" :aria-label="`Colours of ${parameter.name}`">
      <button
        v-for="step in steps"
        :key="step"
        type="button"
        class="step"
        :class="{ chosen: row.typed === String(step) }"
        :aria-pressed="row.typed === String(step)"
        @click="row.typed = String(step)"
      >
        {{ step }}
      </button>
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

.steps {
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  padding-top: 0.35rem;
}

.step {
  min-width: 3rem;
  min-height: 2.6rem;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.step.chosen {
  border-color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--straw);
}

.ask {
  font-weight: 700;
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

  /* Of a long page only the steps of the row one stands in: the next parameter stays on the screen. */
  .row:not(:focus-within) .steps {
    display: none;
  }

  .steps {
    grid-column: 1 / -1;
  }

  .step {
    min-height: 44px;
    flex: 1 1 3rem;
  }
}
</style>
