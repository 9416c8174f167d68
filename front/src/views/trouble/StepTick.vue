<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { System, Trouble } from '@/api/types'
import { signal } from '@/api/signal/signal'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import { clock } from '@/units/time'

const props = defineProps<{
  system: System
  incident: string
  step: Trouble['causes'][number]['steps'][number]
  writes: boolean
}>()
const skipping = ref(false)
const why = ref('')
const tick = useSend(
  (what: 'done' | 'skipped', id) =>
    answer(() =>
      api.PUT('/api/systems/{system}/incidents/{incident}/ticks/{id}', {
        params: { path: { system: props.system.slug, incident: props.incident, id } },
        body: { step: props.step.key, words: props.step.do.slice(0, 500), what, why: why.value },
      }),
    ),
  () => {
    skipping.value = false
    why.value = ''
  },
)
/** Ticked here while there was no signal. */
const kept = computed(() =>
  signal.waiting.some(
    (one) =>
      one.path.includes(`/incidents/${props.incident}/ticks/`) &&
      (one.body as { step?: string }).step === props.step.key,
  ),
)
const undo = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/ticks/{id}', { params: { path: { system: props.system.slug, id } } }),
  ),
)
</script>

<!-- Whether a step of an open incident is done, by whom and when; and when it comes round again. -->
<template>
  <div class="tick">
    <p v-if="step.tick.at" class="small">
      <b>{{ step.tick.what === 'done' ? 'Done' : 'Skipped' }}</b> {{ clock(step.tick.at)
      }}<template v-if="step.tick.by">, {{ step.tick.by }}</template
      ><template v-if="step.tick.why">: {{ step.tick.why }}</template
      ><template v-if="step.tick.stands === 'again'">. <b>Due again.</b></template
      ><template v-else-if="step.every_h">; again every {{ step.every_h }} h</template>
      <button
        v-if="writes && step.tick.id && step.tick.stands !== 'again'"
        type="button"
        class="link-button small"
        @click="undo.send(step.tick.id)"
      >
        Undo
      </button>
    </p>
    <p v-if="kept" class="small">Kept on this device; it is booked when there is signal.</p>
    <template v-else-if="writes && (step.tick.stands === 'due' || step.tick.stands === 'again')">
      <button type="button" class="done" :disabled="tick.pending.value" @click="tick.send('done')">
        Done
      </button>
      <button type="button" class="link-button small" @click="skipping = !skipping">Skip</button>
      <form v-if="skipping" novalidate @submit.prevent="tick.send('skipped')">
        <p class="caution">{{ step.skipping }}</p>
        <TypedField v-model="why" label="Why it is skipped" words :error="tick.errors.value.why" />
        <button type="submit" class="link-button">Skip it</button>
      </form>
    </template>
    <p v-if="tick.trouble.value ?? undo.trouble.value" class="fault small" role="alert">
      {{ tick.trouble.value ?? undo.trouble.value }}
    </p>
  </div>
</template>

<style scoped>
.tick {
  margin-top: 0.3rem;
}

.done {
  min-height: 44px;
  padding: 0.25rem 1.25rem;
  margin-right: 1rem;
  border: 1px solid var(--ink);
  border-radius: 2px;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 700;
  cursor: pointer;
}

form {
  display: grid;
  gap: 0.5rem;
  justify-items: start;
  max-width: 30rem;
  padding: 0.5rem 0 0.5rem 0.75rem;
  border-left: 3px solid var(--straw);
}
</style>
