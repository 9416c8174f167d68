<script setup lang="ts">
import { computed } from 'vue'
import { NButton } from 'naive-ui'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import type { EditedPart } from './usePart'

export interface PartField {
  key: string
  label: string
  unit?: string
  hint?: string
  /** Choices make it a list; without, it is typed. */
  choices?: { value: string; label: string }[]
  words?: boolean
  /** A day of the calendar. */
  day?: boolean
  /** Rarely needed: folded away until asked for or at fault. */
  more?: boolean
}

const props = defineProps<{
  part: EditedPart
  fields: PartField[]
  retires?: boolean
}>()
const emit = defineEmits<{ save: [] }>()
// One part is edited for as long as the form stands, so these stay the same.
const { form, theirs, errors, trouble, save, fresh, open, remove, retire, copy } = props.part
const groups = computed(() =>
  [
    { more: false, fields: props.fields.filter((field) => !field.more) },
    { more: true, fields: props.fields.filter((field) => field.more) },
  ].filter((group) => group.fields.length > 0),
)
const faulty = (fields: PartField[]) => fields.some((field) => errors.value[field.key])
/** What stands in the book by now, beside what is typed, where the two differ. */
const theirsAt = (field: PartField) => {
  const stored = theirs.value[field.key]
  if (stored === undefined || (stored ?? '') === (form[field.key] ?? '')) return undefined
  const said = field.choices?.find((choice) => choice.value === stored)?.label ?? stored
  return `theirs: ${said || 'empty'}`
}
</script>

<template>
  <form class="part-form" novalidate @submit.prevent="emit('save')">
    <component
      :is="group.more ? 'details' : 'div'"
      v-for="group in groups"
      :key="String(group.more)"
      :open="group.more && faulty(group.fields) ? true : undefined"
    >
      <summary v-if="group.more">More about it</summary>
      <div class="fields">
        <template v-for="field in group.fields" :key="field.key">
          <PickField
            v-if="field.choices"
            :label="field.label"
            :hint="theirsAt(field) ?? field.hint"
            :error="errors[field.key]"
            v-model="form[field.key]"
            :choices="field.choices"
          />
          <TypedField
            v-else
            :model-value="form[field.key] ?? ''"
            :label="field.label"
            :unit="field.unit"
            :hint="theirsAt(field) ?? field.hint"
            :error="errors[field.key]"
            :words="field.words"
            :day="field.day"
            :longest="field.words ? 60 : 20"
            @update:model-value="form[field.key] = $event"
          />
        </template>
      </div>
    </component>
    <slot />
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
    <div class="buttons">
      <NButton type="primary" attr-type="submit" :loading="save.isPending.value">Save</NButton>
      <button type="button" class="link-button" @click="open = null">Cancel</button>
      <button v-if="!fresh" type="button" class="link-button" @click="copy">Copy it</button>
      <button
        v-if="!fresh && retires"
        type="button"
        class="link-button retire"
        @click="retire.mutate(open ?? '')"
      >
        Retire
      </button>
      <button v-if="!fresh" type="button" class="link-button remove" @click="remove.mutate(open ?? '')">
        Remove
      </button>
    </div>
  </form>
</template>

<style scoped>
.part-form {
  padding: 1rem 0 1.25rem 1rem;
  border-left: 3px solid var(--straw);
  margin: 0.5rem 0;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.9rem 1.5rem;
}

.buttons {
  display: flex;
  align-items: center;
  gap: 1.5rem;
  margin-top: 1rem;
}

.retire {
  margin-left: auto;
}

summary {
  margin: 0.9rem 0;
  color: var(--water-ink, var(--water));
  cursor: pointer;
}

.remove {
  color: var(--rust-ink);
}
</style>
