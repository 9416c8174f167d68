<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton, NInput } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshSystem } from '@/api/queries'
import type { System } from '@/api/types'
import FormField from '@/parts/FormField.vue'

const props = defineProps<{ system: System; writes: boolean }>()
const form = reactive({ feed_g_d: String(props.system.build.feed?.feed_g_d ?? ''), protein_pct: String(props.system.build.feed?.protein_pct ?? '') })

const save = useMutation({
  mutationFn: () => answer(() => api.PUT('/api/systems/{system}/feed', { params: { path: { system: props.system.slug } }, body: { ...form } })),
  onSuccess: () => refreshSystem(props.system.slug),
})
const errors = computed(() => (save.error.value instanceof Refusal ? save.error.value.errors : {}))
const trouble = computed(() => (save.error.value && Object.keys(errors.value).length === 0 ? save.error.value.message : null))
</script>

<template>
  <section aria-label="Feed">
    <h2>Feed</h2>
    <p class="soft small">{{ system.build.feed ? `This figure holds since ${system.build.feed.since}.` : 'No figure yet: the load is worked out as if nothing were fed.' }} A new one holds from today.</p>
    <form novalidate @submit.prevent="save.mutate()">
      <FormField v-slot="{ id, status, described }" label="Feed" unit="g/d" :error="errors.feed_g_d">
        <NInput v-model:value="form.feed_g_d" :status="status" :disabled="!writes" placeholder="" :input-props="{ id, inputmode: 'decimal', 'aria-describedby': described }" :maxlength="20" />
      </FormField>
      <FormField v-slot="{ id, status, described }" label="Protein" unit="%" :error="errors.protein_pct">
        <NInput v-model:value="form.protein_pct" :status="status" :disabled="!writes" placeholder="" :input-props="{ id, inputmode: 'decimal', 'aria-describedby': described }" :maxlength="20" />
      </FormField>
      <NButton v-if="writes" type="primary" attr-type="submit" :loading="save.isPending.value">Set the feed</NButton>
      <span v-if="save.isSuccess.value" class="soft" role="status">Set.</span>
    </form>
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
h2 {
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--soft);
  margin-bottom: 0.5rem;
}

form {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 1rem 1.5rem;
  margin-top: 0.75rem;
}

form > .field {
  width: 10rem;
}
</style>
