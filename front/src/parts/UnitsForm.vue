<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive, watch } from 'vue'
import { answer, api } from '@/api/client'
import { queryClient, useSession } from '@/api/queries'
import type { Session } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from './PickField.vue'

defineProps<{ press: string }>()
const emit = defineEmits<{ chosen: [] }>()
const session = useSession()
type Units = NonNullable<Session['person']>['units']
const form = reactive<Record<string, string>>({})
watch(
  () => session.data.value?.person?.units.chosen,
  (chosen) => Object.assign(form, chosen),
  { immediate: true },
)
const keep = useSend(
  async () => {
    const units = await answer(() => api.PUT('/api/session/units', { body: { ...form } as Units['chosen'] }))
    queryClient.setQueryData<Session>(
      ['session'],
      (before) => before && { ...before, person: before.person && { ...before.person, units } },
    )
    // Every answer is worded anew.
    await queryClient.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
  },
  () => emit('chosen'),
)
</script>

<!-- The units one reads in. -->
<template>
  <form novalidate @submit.prevent="keep.send(undefined)">
    <div class="fields">
      <PickField
        v-for="row in session.data.value?.person?.units.choices ?? []"
        :key="row.what"
        :label="row.name"
        :error="keep.errors.value[row.what]"
        :model-value="form[row.what] ?? ''"
        :choices="row.of.map((one) => ({ value: one.id, label: one.name }))"
        @update:model-value="form[row.what] = $event ?? ''"
      />
    </div>
    <NButton type="primary" attr-type="submit" :loading="keep.pending.value">{{ press }}</NButton>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>
