<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton, NInput } from 'naive-ui'
import { computed, reactive } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useVocabulary } from '@/api/queries'
import PickField from '@/parts/PickField.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'

const router = useRouter()
const vocabulary = useVocabulary()
const form = reactive({ name: '', kind: '', life_stage: '', template: '', began: '', since: '' })
const add = useMutation({
  mutationFn: () => answer(() => api.POST('/api/systems', { body: form })),
  onSuccess: async ({ slug }) => {
    await refreshBook()
    await router.push({ name: 'build', params: { system: slug } })
  },
})
const errors = computed(() => (add.error.value instanceof Refusal ? add.error.value.errors : {}))
const trouble = computed(() =>
  add.error.value && Object.keys(errors.value).length === 0 ? add.error.value.message : null,
)
</script>

<template>
  <div class="page">
    <h1>New system</h1>
    <p class="soft lead">A system is one body of water in one loop. Vessels, filter and fish come next.</p>
    <form novalidate @submit.prevent="add.mutate()">
      <FormField v-slot="{ id, status, described }" label="Name" :error="errors.name">
        <NInput
          v-model:value="form.name"
          :status="status"
          placeholder=""
          :maxlength="60"
          :input-props="{ id, 'aria-describedby': described }"
        />
      </FormField>
      <PickField
        label="Purpose"
        :error="errors.kind"
        v-model="form.kind"
        :choices="
          (vocabulary.data.value?.system_kinds ?? []).map((kind) => ({ value: kind.id, label: kind.name }))
        "
      />
      <PickField
        label="Life stage"
        :error="errors.life_stage"
        hint="Readings are judged by what these fish can stand."
        v-model="form.life_stage"
        :choices="
          (vocabulary.data.value?.life_stages ?? []).map((stage) => ({
            value: stage.id,
            label: stage.name,
          }))
        "
      />
      <PickField
        label="Start from"
        :error="errors.template"
        hint="A common build to adapt, or empty."
        v-model="form.template"
        :choices="[
          { value: '', label: 'Nothing: I describe it all' },
          ...(vocabulary.data.value?.templates ?? []).map((template) => ({
            value: template.id,
            label: template.name,
          })),
        ]"
      />
      <PickField
        v-if="form.template"
        label="Filter"
        :error="errors.began"
        hint="Filter capacity depends on when it started."
        v-model="form.began"
        :choices="[
          { value: '', label: 'choose' },
          { value: 'today', label: 'new today' },
          { value: 'since', label: 'running since' },
          { value: 'unknown', label: 'of an age nobody knows' },
        ]"
      />
      <TypedField
        v-if="form.template && form.began === 'since'"
        v-model="form.since"
        label="since the"
        day
        :error="errors.since"
      />
      <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
      <NButton type="primary" attr-type="submit" :loading="add.isPending.value">Add the system</NButton>
    </form>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.4rem 0 1.5rem;
}

form {
  display: grid;
  gap: 1rem;
  max-width: 26rem;
}
</style>
