<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton } from 'naive-ui'
import { computed, reactive, watch } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useVocabulary } from '@/api/queries'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ water: string }>()
const emit = defineEmits<{ opened: [slug: string] }>()
const vocabulary = useVocabulary()
const form = reactive({
  name: '',
  kind: 'holding',
  life_stage: 'adult',
  template: 'single_tub',
  began: '',
  since: '',
})
watch(
  () => form.kind,
  (kind) =>
    (form.life_stage =
      vocabulary.data.value?.system_kinds.find((row) => row.id === kind)?.life_stage ?? form.life_stage),
)
const add = useMutation({
  mutationFn: async () => {
    const { slug } = await answer(() => api.POST('/api/systems', { body: form }))
    if (props.water)
      await answer(() =>
        api.PUT('/api/systems/{system}/source', {
          params: { path: { system: slug } },
          body: { water: props.water },
        }),
      )
    return slug
  },
  onSuccess: async (slug) => {
    await refreshBook()
    emit('opened', slug)
  },
})
const errors = computed(() => (add.error.value instanceof Refusal ? add.error.value.errors : {}))
const trouble = computed(() =>
  add.error.value && !Object.keys(errors.value).length ? add.error.value.message : null,
)
</script>

<!-- One system from a common build, to be changed to one's own afterwards. -->
<template>
  <p class="lead">
    Choose the build nearest to yours. You change its measures, filter and pumps afterwards on Build.
  </p>
  <form novalidate @submit.prevent="add.mutate()">
    <div class="fields">
      <TypedField v-model="form.name" label="Name of the system" words :error="errors.name" />
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
        v-model="form.life_stage"
        :choices="
          (vocabulary.data.value?.life_stages ?? []).map((stage) => ({
            value: stage.id,
            label: stage.name,
          }))
        "
      />
    </div>
    <div class="fields">
      <PickField
        class="wide"
        label="Build"
        :error="errors.template"
        v-model="form.template"
        :choices="
          (vocabulary.data.value?.templates ?? []).map((template) => ({
            value: template.id,
            label: template.name,
          }))
        "
      />
      <PickField
        label="Filter started"
        :error="errors.began"
        v-model="form.began"
        :choices="[
          { value: '', label: 'choose' },
          { value: 'today', label: 'today' },
          { value: 'since', label: 'on a date' },
          { value: 'unknown', label: 'not known' },
        ]"
      />
      <TypedField
        v-if="form.began === 'since'"
        v-model="form.since"
        label="Started on"
        day
        :error="errors.since"
      />
    </div>
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
    <NButton type="primary" attr-type="submit" :loading="add.isPending.value">Add the system</NButton>
  </form>
</template>

<style scoped>
.fields > .wide {
  width: 26rem;
  max-width: 100%;
}
</style>
