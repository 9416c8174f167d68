<script setup lang="ts">
import { useMutation, useQuery } from '@tanstack/vue-query'
import { NButton, NInput } from 'naive-ui'
import { computed, reactive } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refusal } from '@/api/client'
import { queryClient } from '@/api/queries'
import FormField from '@/parts/FormField.vue'

const props = defineProps<{ firstKey: string }>()

const router = useRouter()
const link = useQuery({
  queryKey: ['first-owner', props.firstKey],
  queryFn: () => answer(() => api.GET('/api/first-owner', { params: { query: { key: props.firstKey } } })),
})
const typed = reactive({
  site: '',
  timezone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'Europe/London',
  name: '',
  email: '',
  password: '',
})
const FIELDS = [
  { key: 'site', label: 'Name of the place', type: 'text', autocomplete: 'organization' },
  { key: 'timezone', label: 'Its time zone', type: 'text', autocomplete: 'off' },
  { key: 'name', label: 'Your name', type: 'text', autocomplete: 'name' },
  { key: 'email', label: 'Your e-mail, to sign in with', type: 'email', autocomplete: 'username' },
  {
    key: 'password',
    label: 'A password of 10 characters or more',
    type: 'password',
    autocomplete: 'new-password',
  },
] as const
const make = useMutation({
  mutationFn: () => answer(() => api.POST('/api/first-owner', { body: { ...typed, key: props.firstKey } })),
  onSuccess: async () => {
    await router.replace('/')
    await queryClient.invalidateQueries({ queryKey: ['session'] })
  },
})
const errors = computed(() => (make.error.value instanceof Refusal ? make.error.value.errors : {}))
const trouble = computed(
  () =>
    errors.value.key ??
    (make.error.value && Object.keys(errors.value).length === 0 ? make.error.value.message : null),
)
</script>

<!-- The first page of an empty book: whoever holds the link that was printed becomes its owner. -->
<template>
  <main class="first">
    <h1>Ironwort</h1>
    <p v-if="link.isPending.value" class="soft">Opening the book …</p>
    <p v-else-if="link.data.value && !link.data.value.open" class="fault" role="alert">
      This link was used, or is more than a day old. Start Ironwort again, or run
      <code>bin/ironwort welcome</code>, for a new one.
    </p>
    <form v-else novalidate @submit.prevent="make.mutate()">
      <p>This book is empty. Say who keeps it and where; you come in as its owner.</p>
      <FormField
        v-for="field in FIELDS"
        :key="field.key"
        v-slot="{ id, status, described }"
        :label="field.label"
        :error="errors[field.key]"
      >
        <NInput
          v-model:value="typed[field.key]"
          size="large"
          :type="field.type === 'password' ? 'password' : 'text'"
          :status="status"
          placeholder=""
          :input-props="{
            id,
            type: field.type,
            autocomplete: field.autocomplete,
            'aria-describedby': described,
          }"
        />
      </FormField>
      <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
      <NButton type="primary" size="large" attr-type="submit" :loading="make.isPending.value"
        >Open the book</NButton
      >
    </form>
  </main>
</template>

<style scoped>
.first {
  max-width: 28rem;
  margin: 0 auto;
  padding: 8vh 1rem 4rem;
}

h1 {
  color: var(--leaf);
  font-size: 3rem;
}

form {
  display: grid;
  gap: 1rem;
}
</style>
