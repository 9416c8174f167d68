<script setup lang="ts">
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import { useSend } from '@/api/useSend'

const props = defineProps<{ slug: string; name: string; round: string; skipped: string | null | undefined }>()
const asked = ref(false)
const why = ref('')
const path = () => ({ params: { path: { system: props.slug, round: props.round } } })
const skip = useSend<undefined>(
  () => answer(() => api.PUT('/api/systems/{system}/skips/{round}', { ...path(), body: { why: why.value } })),
  () => (asked.value = false),
)
const back = useSend<undefined>(() => answer(() => api.DELETE('/api/systems/{system}/skips/{round}', path())))
</script>

<!-- A system left out on this round, with the reason that its book keeps. -->
<template>
  <p v-if="skipped" class="small">
    Skipped: {{ skipped }}
    <button
      type="button"
      class="link-button"
      :aria-label="`Do not skip ${name}`"
      @click="back.send(undefined)"
    >
      Not skipped after all
    </button>
  </p>
  <button
    v-else-if="!asked"
    type="button"
    class="link-button small"
    :aria-label="`Skip ${name}`"
    @click="asked = true"
  >
    Skip
  </button>
  <form v-else novalidate @submit.prevent="skip.send(undefined)">
    <input
      v-model="why"
      class="inline"
      :aria-label="`Why ${name} is skipped`"
      placeholder="why"
      maxlength="200"
      :aria-invalid="!!skip.errors.value.why"
    />
    <button type="submit" class="link-button small" :disabled="skip.pending.value">Skip it</button>
    <button type="button" class="link-button small" @click="asked = false">Cancel</button>
    <p v-if="skip.errors.value.why ?? skip.trouble.value" class="fault small" role="alert">
      {{ skip.errors.value.why ?? skip.trouble.value }}
    </p>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  align-items: baseline;
}

input {
  flex: 1;
  min-width: 8rem;
  min-height: 40px;
}

p {
  margin: 0;
}
</style>
