<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { Refusal } from '@/api/client'
import type { System } from '@/api/types'
import { setRetired } from '@/parts/editor/usePart'

const props = defineProps<{ system: System; writes: boolean }>()
const back = useMutation({
  mutationFn: (part: System['build']['retired'][number]) =>
    setRetired(props.system.slug, part.kind, part.id, false),
})
const trouble = () =>
  back.error.value instanceof Refusal
    ? (back.error.value.errors.id ?? back.error.value.message)
    : back.error.value?.message
</script>

<template>
  <section v-if="system.build.retired.length" class="part" aria-label="Retired">
    <h2>Retired</h2>
    <ul class="rows acts">
      <li v-for="part in system.build.retired" :key="part.id">
        <b>{{ part.name }}</b> <span class="soft">{{ part.age }}</span>
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Bring ${part.name} back`"
          @click="back.mutate(part)"
        >
          Bring back
        </button>
      </li>
    </ul>
    <p v-if="back.isError.value" class="fault" role="alert">{{ trouble() }}</p>
  </section>
</template>
