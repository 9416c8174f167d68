<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useSingles } from '@/api/queries'
import type { FishPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import SingleRow from './SingleRow.vue'

const props = defineProps<{ system: System; fish: FishPage; writes: boolean }>()
const query = useSingles(() => props.system.slug)
const singles = computed(() => query.data.value?.fish ?? [])
/** The fish in the form; an id of its own where it is new. */
const editing = ref('')
const form = reactive({ name: '', variety: '', origin: '', note: '', group: '' })
function edit(id: string): void {
  const one = singles.value.find((fish) => fish.id === id)
  Object.assign(form, {
    name: one?.name ?? '',
    variety: one?.variety ?? '',
    origin: one?.origin ?? '',
    note: one?.note ?? '',
    group: one?.group ?? '',
  })
  editing.value = id
}
const keep = useSend(
  () =>
    answer(() =>
      api.PUT('/api/systems/{system}/singles/{id}', {
        params: { path: { system: props.system.slug, id: editing.value } },
        body: { ...form },
      }),
    ),
  () => (editing.value = ''),
)
const groups = computed(() => [
  { value: '', label: 'none' },
  ...props.fish.groups.map((one) => ({ value: one.id, label: one.name })),
])
</script>

<!-- Fish known by name. They are counted in their group; what is here is their own. -->
<template>
  <section class="part" aria-label="Fish by name">
    <h2>Fish by name</h2>
    <p v-if="!singles.length" class="soft small">
      Give a fish a name to keep its size, condition, treatments and looks. It stays counted in its group.
    </p>
    <ul v-else class="rows">
      <SingleRow
        v-for="one in singles"
        :key="one.id"
        :system="system"
        :fish="one"
        :writes="writes"
        @edit="edit(one.id)"
      />
    </ul>
    <form
      v-if="editing"
      class="fields"
      novalidate
      aria-label="A fish by name"
      @submit.prevent="keep.send(undefined)"
    >
      <TypedField v-model="form.name" label="Name" words :longest="60" :error="keep.errors.value.name" />
      <TypedField
        v-model="form.variety"
        label="Variety"
        words
        :longest="60"
        :error="keep.errors.value.variety"
      />
      <TypedField v-model="form.origin" label="From" words :longest="80" :error="keep.errors.value.origin" />
      <PickField v-model="form.group" label="Counted in" :choices="groups" :error="keep.errors.value.group" />
      <TypedField v-model="form.note" label="Note" words :error="keep.errors.value.note" />
      <div class="buttons">
        <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Save the fish</NButton>
        <button type="button" class="link-button" @click="editing = ''">Cancel</button>
      </div>
      <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
    </form>
    <NButton v-else-if="writes" @click="edit(ulid())">Name a fish</NButton>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.75rem 1.25rem;
  margin-top: 0.75rem;
}

.buttons {
  display: flex;
  gap: 1rem;
  align-items: end;
}
</style>
