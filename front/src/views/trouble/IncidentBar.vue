<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import type { FieldErrors, System, Trouble } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { clock } from '@/units/time'

const props = defineProps<{
  system: System
  trouble: Trouble
  writes: boolean
  signs: string[]
  opening: boolean
  /** What was refused when it was opened, at its field, and in a line what has none. */
  errors: FieldErrors
  fault: string | null
}>()
defineEmits<{ open: [input: { event: string; signs: string[]; minutes?: string }] }>()
const router = useRouter()
const asking = ref(false)
const closing = ref(false)
const start = reactive({ event: 'seen', minutes: '' })
const form = reactive({ cause: '', prevent: '', other_cost: '', early_why: '' })
const end = useSend(() =>
  answer(() =>
    api.PUT('/api/systems/{system}/incidents/{id}/end', {
      params: { path: { system: props.system.slug, id: props.trouble.incident?.id ?? '' } },
      body: { ...form },
    }),
  ),
)
function close(): void {
  const id = props.trouble.incident?.id
  end.send(undefined, {
    onSuccess: () =>
      void router.push({ name: 'incident', params: { system: props.system.slug, incident: id } }),
  })
}
</script>

<!-- Trouble as work: opened, shared, and closed with its cause. -->
<template>
  <section v-if="trouble.incident" class="bar" aria-label="Incident">
    <p>
      <b>Incident open</b> since {{ clock(trouble.incident.opened_at) }}: {{ trouble.incident.event }}.
      Whoever opens this page sees the same steps.
      <RouterLink
        class="small"
        :to="{ name: 'incident', params: { system: system.slug, incident: trouble.incident.id } }"
        >Its page</RouterLink
      >
    </p>
    <ul v-if="trouble.incident.worse.length" class="caution" role="alert" aria-label="It gets worse">
      <li v-for="one in trouble.incident.worse" :key="one.text">{{ one.text }}</li>
    </ul>
    <ul v-if="trouble.incident.missing.length" aria-label="What keeps it open">
      <li v-for="one in trouble.incident.missing" :key="one.text" class="small">{{ one.text }}</li>
    </ul>
    <p v-else class="small">Its rule is met: it may be closed.</p>
    <button v-if="writes && !closing" type="button" class="link-button" @click="closing = true">
      Close it
    </button>
    <form v-if="closing" novalidate aria-label="Close the incident" @submit.prevent="close">
      <PickField
        v-model="form.cause"
        label="What was the cause?"
        :choices="[
          { value: '', label: '' },
          ...trouble.all_causes.map((one) => ({ value: one.id, label: one.name })),
        ]"
        :error="end.errors.value.cause"
      />
      <TypedField
        v-model="form.prevent"
        label="What changes so that it does not come back?"
        words
        :longest="500"
        :error="end.errors.value.prevent"
      />
      <TypedField
        v-model="form.other_cost"
        label="What else did it cost?"
        hint="fish, goods, a visit; water and services are counted"
        :error="end.errors.value.other_cost"
      />
      <TypedField
        v-if="trouble.incident.missing.length"
        v-model="form.early_why"
        label="Why close it already?"
        words
        :error="end.errors.value.early_why"
      />
      <div class="buttons">
        <NButton type="primary" attr-type="submit" :loading="end.pending.value">Close the incident</NButton>
        <button type="button" class="link-button" @click="closing = false">Cancel</button>
      </div>
      <p v-if="end.trouble.value" class="fault" role="alert">{{ end.trouble.value }}</p>
    </form>
  </section>
  <div v-else-if="writes" class="begin">
    <button v-if="!asking" type="button" class="link-button" @click="asking = true">Open an incident</button>
    <form
      v-else
      novalidate
      aria-label="Open an incident"
      @submit.prevent="$emit('open', { event: start.event, signs, minutes: start.minutes })"
    >
      <PickField
        v-model="start.event"
        label="What happened?"
        :choices="trouble.events.map((one) => ({ value: one.id, label: one.name }))"
        :error="errors.event"
      />
      <TypedField
        v-model="start.minutes"
        label="Began"
        unit="min"
        hint="ago; empty is now"
        :error="errors.minutes"
      />
      <div class="buttons">
        <NButton type="primary" attr-type="submit" :loading="opening">Open the incident</NButton>
        <button type="button" class="link-button" @click="asking = false">Cancel</button>
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </form>
  </div>
</template>

<style scoped>
.bar {
  padding: 0.6rem 0.9rem;
  margin-bottom: 0.9rem;
  border-left: 4px solid var(--rust);
  background: var(--sheet);
}

ul {
  margin: 0.3rem 0;
}

form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  gap: 0.75rem 1.5rem;
  margin: 0.5rem 0 0.9rem;
}

.buttons {
  display: flex;
  gap: 1rem;
  align-items: end;
}

.begin {
  margin-bottom: 0.6rem;
}
</style>
