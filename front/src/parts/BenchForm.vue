<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { useBench } from '@/api/queries'
import type { Bench, System } from '@/api/types'
import ChoiceField from './ChoiceField.vue'
import FigureButton from './FigureButton.vue'
import FormField from './FormField.vue'
import TypedField from './TypedField.vue'

const props = defineProps<{ system: System; bench: string; hint?: string }>()
const typed = reactive<Record<string, string>>({})
const asked = useDebounce(computed(() => Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== ''))), 250)
const answered = useBench(() => props.system.slug, () => props.bench, asked)
const found = computed(() => answered.data.value)
/** What must be typed comes first; what the book knows, or is assumed, can be opened and typed over. */
const asks = computed(() => found.value?.fields.filter((field) => !field.filled) ?? [])
const known = computed(() => found.value?.fields.filter((field) => field.filled) ?? [])
const type = (key: string, value: string | null | undefined) => (typed[key] = value ?? '')
const said = (field: Bench['fields'][number]) => typed[field.key] || (field.choices.find((row) => row.value === field.value)?.label ?? field.value ?? '')
</script>

<!-- Something worked out for this system: the book fills in what it knows, and every number of the answer opens. -->
<template>
  <section class="part" :aria-label="found?.title ?? bench">
    <h2>{{ found?.title ?? '…' }}</h2>
    <p v-if="hint" class="soft small">{{ hint }}</p>
    <p v-if="answered.isError.value" class="fault" role="alert">{{ answered.error.value?.message }}</p>
    <template v-if="found">
      <form class="fields" novalidate @submit.prevent>
        <template v-for="field in asks" :key="field.key">
          <FormField v-if="field.choices.length" v-slot="{ id, status }" :label="field.label" :error="found.errors[field.key]"><ChoiceField :id="id" :model-value="typed[field.key] ?? ''" :status="status" :choices="[{ value: '', label: 'choose' }, ...field.choices]" @update:model-value="type(field.key, $event)" /></FormField>
          <TypedField v-else :model-value="typed[field.key] ?? ''" :label="field.label" :unit="field.unit" :error="found.errors[field.key]" @update:model-value="type(field.key, $event)" />
        </template>
      </form>
      <details v-if="known.length" class="known">
        <summary>With {{ known.map((field) => `${field.label} ${said(field)}${field.unit ? ` ${field.unit}` : ''}`).join(', ') }}</summary>
        <form class="fields" novalidate @submit.prevent>
          <template v-for="field in known" :key="field.key">
            <FormField v-if="field.choices.length" v-slot="{ id, status }" :label="field.label" :hint="field.from" :error="found.errors[field.key]"><ChoiceField :id="id" :model-value="typed[field.key] ?? field.value" :status="status" :choices="field.choices" @update:model-value="type(field.key, $event)" /></FormField>
            <TypedField v-else :model-value="typed[field.key] ?? ''" :label="field.label" :unit="field.unit" :placeholder="field.value ?? ''" :hint="field.from" :error="found.errors[field.key]" @update:model-value="type(field.key, $event)" />
          </template>
        </form>
      </details>
      <ul v-if="Object.keys(found.errors).length && !found.fields.some((field) => found?.errors[field.key])" class="fault"><li v-for="(error, key) in found.errors" :key="key">{{ error }}</li></ul>
      <p v-if="found.refused" class="fault refused" role="alert">Not now. {{ found.cautions.find((row) => row.level === 'danger')?.text }}</p>
      <p v-else-if="found.measure" class="measure">{{ found.measure }}</p>
      <dl v-if="found.figures.length" class="answer"><div v-for="figure in found.figures" :key="figure.key ?? figure.label"><dt>{{ figure.label }}</dt><dd><FigureButton :figure="figure" /></dd></div></dl>
      <ol v-if="found.steps.length"><li v-for="step in found.steps" :key="step">{{ step }}</li></ol>
      <template v-for="caution in found.cautions" :key="caution.text"><p v-if="!(found.refused && caution.level === 'danger')" class="caution" :class="caution.level">{{ caution.text }}</p></template>
    </template>
  </section>
</template>

<style scoped>
.known {
  margin: 0.4rem 0 0.8rem;
}

.measure {
  margin: 0.6rem 0;
  font-size: 1.75rem;
  font-weight: 700;
  line-height: 1.15;
}

.answer {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 2rem;
  margin: 0.5rem 0 0.8rem;
}

dt {
  font-size: 0.85rem;
  color: var(--soft);
}

.refused {
  padding: 0.6rem 0.9rem;
  border-left: 6px solid var(--rust);
}
</style>
