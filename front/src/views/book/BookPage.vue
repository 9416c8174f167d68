<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useBook, useSession } from '@/api/queries'
import type { Book, System, Visit } from '@/api/types'
import { useSend } from '@/api/useSend'
import { date } from '@/units/time'
import CsvImport from './CsvImport.vue'
import NoteForm from './NoteForm.vue'
import ScoreStrips from './ScoreStrips.vue'

const props = defineProps<{ system: System }>()
const KINDS = [
  ['', 'everything'],
  ['tests', 'tests'],
  ['feeds', 'feeds'],
  ['notes', 'notes'],
  ['fish', 'fish'],
  ['water', 'water'],
  ['doses', 'doses'],
  ['filter', 'filter and build'],
  ['rounds', 'rounds'],
] as const

const kinds = ref('')
const before = ref<string[]>([])
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const book = useBook(
  () => props.system.slug,
  () => ({ kinds: kinds.value, before: before.value[before.value.length - 1] ?? '' }),
)
const said = (visit: Visit) => visit.readings.map((reading) => `${reading.name} ${reading.reads}`).join(', ')
const takeBack = useSend((entry: Book['entries'][number]) => {
  const path = { system: props.system.slug, id: entry.id }
  if (entry.kind === 'tests')
    return answer(() => api.DELETE('/api/visits/{visit}', { params: { path: { visit: entry.id } } }))
  if (entry.kind === 'feeds')
    return answer(() => api.DELETE('/api/systems/{system}/feeds/{id}', { params: { path } }))
  return answer(() => api.DELETE('/api/systems/{system}/notes/{id}', { params: { path } }))
})
const undoable = (kind: string) => ['tests', 'feeds', 'notes'].includes(kind)
</script>

<template>
  <ScoreStrips :system="system" />
  <template v-if="writes">
    <NoteForm :system="system" />
    <CsvImport :system="system" />
  </template>

  <section aria-label="Entries">
    <div class="head">
      <h2>Entries</h2>
      <label class="small"
        >Show
        <select v-model="kinds" @change="before = []">
          <option v-for="[value, label] in KINDS" :key="value" :value="value">{{ label }}</option>
        </select></label
      >
    </div>
    <p v-if="book.isError.value" class="fault" role="alert">{{ book.error.value?.message }}</p>
    <p v-if="takeBack.trouble.value" class="fault" role="alert">{{ takeBack.trouble.value }}</p>
    <p v-if="book.data.value && !book.data.value.entries.length" class="soft">
      The book is empty.
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test the water</RouterLink>, and the
      book begins.
    </p>
    <ol>
      <li v-for="entry in book.data.value?.entries ?? []" :key="entry.id">
        <span class="when"
          ><b>{{ date(entry.at) }}</b>
          <span class="soft small"
            >{{ entry.age }}<template v-if="entry.by">, {{ entry.by }}</template></span
          ></span
        >
        <span class="text">
          <template v-if="entry.visit"
            >{{ said(entry.visit) }}<b v-if="entry.text" class="small">{{ `, ${entry.text}` }}</b
            ><span v-if="entry.visit.spot" class="soft">{{ `, clarity at ${entry.visit.spot}` }}</span
            ><span v-if="entry.visit.bay" class="soft">{{ `, in ${entry.visit.bay}` }}</span></template
          >
          <template v-else>{{ entry.text }}</template>
          <a
            v-if="entry.photo"
            :href="`/api/systems/${system.slug}/notes/${entry.id}/photo`"
            target="_blank"
            rel="noopener"
            ><img
              :src="`/api/systems/${system.slug}/notes/${entry.id}/photo`"
              :alt="`Picture: ${entry.text}`"
              loading="lazy"
          /></a>
          <span v-if="entry.corrected" class="soft small before"
            >corrected; it said {{ said(entry.corrected) }}</span
          >
        </span>
        <span v-if="writes" class="acts small">
          <RouterLink
            v-if="entry.visit"
            :to="{ name: 'test', params: { system: system.slug }, query: { corrects: entry.id } }"
            >Correct</RouterLink
          >
          <button
            v-if="undoable(entry.kind)"
            type="button"
            class="link-button"
            :aria-label="`Undo the entry of ${entry.age}`"
            @click="takeBack.send(entry)"
          >
            Undo
          </button>
        </span>
      </li>
    </ol>
    <p class="more">
      <button v-if="before.length" type="button" class="link-button" @click="before.pop()">Newer</button>
      <button
        v-if="book.data.value?.next"
        type="button"
        class="link-button"
        @click="before.push(book.data.value.next)"
      >
        Older
      </button>
    </p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 1.5rem;
  margin-top: 2rem;
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--soft);
}

.head label {
  margin-left: auto;
}

li {
  display: grid;
  grid-template-columns: 12rem minmax(0, 1fr) auto;
  gap: 0.15rem 1rem;
  align-items: baseline;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

img {
  display: block;
  max-width: 12rem;
  max-height: 9rem;
  margin-top: 0.35rem;
}

.before {
  display: block;
}

.acts {
  display: flex;
  gap: 1rem;
}

.more {
  display: flex;
  gap: 1.5rem;
  margin-top: 0.75rem;
}

@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
