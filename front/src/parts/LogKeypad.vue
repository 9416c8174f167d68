<script setup lang="ts">
import { computed } from 'vue'
import { useShelf, useVocabulary } from '@/api/queries'

/** Keys for the log bar on a phone: codes, the steps of the kit that belongs to the last code, digits. */
const line = defineModel<string>({ required: true })
defineEmits<{ close: [] }>()

const vocabulary = useVocabulary()
const shelf = useShelf()
const parameters = computed(() => (vocabulary.data.value?.parameters ?? []).filter((row) => row.code))
const words = computed(() => line.value.trimEnd().split(/\s+/))
/** The parameter whose number is to come. */
const asked = computed(() => parameters.value.find((row) => row.code === words.value.at(-1)?.toLowerCase()))
const steps = computed(
  () =>
    shelf.data.value?.kits.find(
      (kit) =>
        kit.in_use &&
        kit.parameter === asked.value?.id &&
        (kit.unit === null || kit.unit === asked.value.units[0]?.id),
    )?.steps ?? [],
)

function word(text: string): void {
  line.value = `${line.value.trimEnd()}${line.value.trim() ? ' ' : ''}${text} `
}
function back(): void {
  const text = line.value
  line.value = /[a-z]\s*$/i.test(text) ? text.replace(/[a-z]+\s*$/i, '') : text.slice(0, -1)
}
</script>

<template>
  <div class="keypad" role="group" aria-label="Keypad">
    <div class="codes">
      <button
        v-for="row in parameters"
        :key="row.id"
        type="button"
        :class="{ asked: row.id === asked?.id }"
        :aria-label="row.name"
        @click="word(row.code ?? '')"
      >
        {{ row.code }}
      </button>
    </div>
    <div v-if="steps.length" class="codes steps" role="group" :aria-label="`Steps of ${asked?.name}`">
      <button v-for="step in steps" :key="step" type="button" @click="word(String(step))">{{ step }}</button>
    </div>
    <div class="digits">
      <button
        v-for="key in ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0']"
        :key="key"
        type="button"
        @click="line += key"
      >
        {{ key }}
      </button>
      <button type="button" aria-label="Rub out" @click="back">⌫</button>
      <button type="button" @click="line = `${line.trimEnd()} `">next</button>
      <button type="button" aria-label="Over range" @click="line += '>'">&gt;</button>
      <button type="button" @click="$emit('close')">words</button>
    </div>
  </div>
</template>

<style scoped>
.keypad {
  display: grid;
  gap: 0.5rem;
  padding: 0.6rem 1rem 0.8rem;
  background: var(--sheet);
  border-top: 1px solid var(--hair);
}

.codes {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 0.35rem;
}

.steps {
  display: flex;
  flex-wrap: wrap;
}

.digits {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.35rem;
}

button {
  min-width: 2.6rem;
  min-height: 2.75rem;
  padding: 0 0.3rem;
  font: inherit;
  font-size: 1.1rem;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--hair);
  border-radius: 2px;
}

.asked,
.steps button {
  font-weight: 700;
  border-color: var(--soft);
}
</style>
