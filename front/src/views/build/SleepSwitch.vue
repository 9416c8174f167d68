<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { answer, api } from '@/api/client'
import { refreshBook } from '@/api/queries'
import type { System } from '@/api/types'

const props = defineProps<{ system: System; writes: boolean }>()

const turn = useMutation({
  mutationFn: (asleep: boolean) =>
    answer(() =>
      api.PUT('/api/systems/{system}/sleep', {
        params: { path: { system: props.system.slug } },
        body: { asleep },
      }),
    ),
  onSuccess: () => refreshBook(),
})
</script>

<template>
  <section class="part" aria-label="Season">
    <h2>Season</h2>
    <p v-if="system.asleep">
      Asleep since {{ system.asleep }}. It raises no alarm. Its filter starves meanwhile, so after waking it
      starts as a new one.
    </p>
    <p v-else class="soft">
      A seasonal or temporary system can be put to sleep: it keeps its book and raises no alarm.
    </p>
    <button
      v-if="writes"
      type="button"
      class="link-button"
      :disabled="turn.isPending.value"
      @click="turn.mutate(!system.asleep)"
    >
      {{ system.asleep ? 'Wake it' : 'Put it to sleep' }}
    </button>
    <p v-if="turn.isError.value" class="fault" role="alert">{{ turn.error.value?.message }}</p>
  </section>
</template>
