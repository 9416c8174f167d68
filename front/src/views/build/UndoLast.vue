<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook } from '@/api/queries'
import type { System } from '@/api/types'

const props = defineProps<{ system: System }>()
const last = computed(() => props.system.build.undo)
const undo = useMutation({
  mutationFn: (id: string) =>
    answer(() =>
      api.POST('/api/systems/{system}/build-changes/{id}/undo', {
        params: { path: { system: props.system.slug, id } },
      }),
    ),
  onSettled: () => refreshBook(),
})
const trouble = computed(() =>
  undo.error.value instanceof Refusal
    ? (undo.error.value.errors.id ?? undo.error.value.message)
    : undo.error.value,
)
</script>

<template>
  <p v-if="last" class="small">
    <button type="button" class="link-button" :disabled="undo.isPending.value" @click="undo.mutate(last.id)">
      Undo: {{ last.says }}
    </button>
    <span class="soft">
      {{ last.age }}<template v-if="last.by">, {{ last.by }}</template></span
    >
    <span v-if="trouble" class="fault" role="alert"> {{ trouble }}</span>
  </p>
</template>
