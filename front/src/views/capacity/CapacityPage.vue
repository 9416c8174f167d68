<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { NInput } from 'naive-ui'
import { computed, reactive } from 'vue'
import { Refusal } from '@/api/client'
import { useCapacity } from '@/api/queries'
import type { FieldErrors, System } from '@/api/types'
import FormField from '@/parts/FormField.vue'
import StateMark from '@/parts/StateMark.vue'
import LoadLedger from './LoadLedger.vue'
import StageTable from './StageTable.vue'

const props = defineProps<{ system: System }>()

const typed = reactive<Record<string, string>>({})
const given = computed(() => Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== '')))
const capacity = useCapacity(() => props.system.slug, useDebounce(given, 200))
const errors = computed<FieldErrors>(() => (capacity.error.value instanceof Refusal ? capacity.error.value.errors : {}))
const trouble = computed(() => (capacity.error.value && Object.keys(errors.value).length === 0 ? capacity.error.value.message : null))
const shown = computed(() => capacity.data.value ?? { ...props.system.capacity })

/** A condition as it stands, without its unit, to type over. */
const plain = (text: string, unit: string | null) => (unit === null ? text : text.replace(` ${unit}`, ''))

function reset(): void {
  for (const key of Object.keys(typed)) delete typed[key]
}
</script>

<template>
  <p class="verdict" aria-live="polite">
    <StateMark v-if="shown.state" :state="shown.state" />
    <span>{{ shown.sentence }}</span>
  </p>
  <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>

  <LoadLedger v-if="shown.capacity" :capacity="shown" />
  <p v-else><RouterLink :to="{ name: 'build', params: { system: system.slug } }">Describe the filter</RouterLink></p>

  <section class="conditions" aria-label="Conditions">
    <div class="head">
      <h2>Worked out for</h2>
      <span class="soft small">Type over any of these to see another day.</span>
      <button v-if="Object.keys(given).length" type="button" class="link-button small" @click="reset">Back to the water as it is</button>
    </div>
    <div class="fields">
      <FormField v-for="condition in shown.conditions" :key="condition.key" v-slot="{ id, status, described }" :label="condition.label" :unit="condition.unit" :error="errors[condition.key]" :hint="condition.from">
        <NInput v-model:value="typed[condition.key]" :status="status" :class="condition.kind" :placeholder="plain(condition.text, condition.unit)" :input-props="{ id, inputmode: 'decimal', autocomplete: 'off', 'aria-describedby': described }" :maxlength="20" />
      </FormField>
    </div>
  </section>

  <StageTable v-if="shown.capacity" :stages="shown.stages" :whole="shown.capacity" />
</template>

<style scoped>
.verdict {
  display: grid;
  gap: 0.35rem;
  font-size: 1.25rem;
  line-height: 1.35;
  max-width: 48rem;
  margin-bottom: 1.5rem;
}

.conditions {
  margin: 2rem 0;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 1rem;
  padding-bottom: 0.35rem;
  margin-bottom: 0.75rem;
  border-bottom: 1px solid var(--soft);
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
  gap: 1rem 1.5rem;
}

.fields :deep(input::placeholder),
.fields :deep(.n-input__placeholder) {
  color: var(--ink) !important;
}

.fields :deep(.assumed ~ p) {
  color: var(--straw-ink);
}
</style>
