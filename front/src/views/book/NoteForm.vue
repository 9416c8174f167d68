<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useVocabulary } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PhotoField from '@/parts/PhotoField.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System }>()
const vocabulary = useVocabulary()
const form = reactive({ words: '', seen: [] as string[], photo: '' })

const id = ref(ulid())
const keep = useSend(
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/notes/{id}', {
        params: { path: { system: props.system.slug, id: id.value } },
        body: { words: form.words, seen: form.seen, photo: form.photo || null },
      }),
    ),
  () => {
    Object.assign(form, { words: '', seen: [], photo: '' })
    id.value = ulid()
  },
)
</script>

<template>
  <details>
    <summary>Note what you see</summary>
    <form novalidate @submit.prevent="keep.send(undefined)">
      <fieldset>
        <legend class="soft small">Signs</legend>
        <label v-for="word in vocabulary.data.value?.seen ?? []" :key="word"
          ><input v-model="form.seen" type="checkbox" :value="word" /> {{ word }}</label
        >
      </fieldset>
      <TypedField v-model="form.words" label="Note" words :error="keep.errors.value.words" />
      <PhotoField v-model="form.photo" :error="keep.errors.value.photo" />
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Book it</NButton>
      <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
    </form>
  </details>
</template>

<style scoped>
details {
  margin: 1rem 0;
}

summary {
  color: var(--water-ink, var(--water));
  cursor: pointer;
}

form {
  display: grid;
  gap: 0.9rem;
  justify-items: start;
  padding: 0.75rem 0 0.75rem 1rem;
  border-left: 3px solid var(--straw);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem 1.25rem;
  border: 0;
  padding: 0;
}

form > .field {
  width: min(100%, 36rem);
}
</style>
