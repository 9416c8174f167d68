<script setup lang="ts">
import { answer, api } from '@/api/client'
import type { DosePage, System } from '@/api/types'
import { useSend } from '@/api/useSend'

const props = defineProps<{ system: System; page: DosePage; writes: boolean }>()
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const end = useSend((id: string) => answer(() => api.PUT('/api/systems/{system}/doses/{id}/end', path(id))))
const takeBack = useSend((id: string) =>
  answer(() => api.DELETE('/api/systems/{system}/doses/{id}', path(id))),
)
</script>

<!-- What was given here, and what a volume corrected since makes of it. -->
<template>
  <section class="part no-print" aria-label="Doses given">
    <h2>Doses given</h2>
    <p v-if="page.given.length === 0" class="soft">No dose is booked here yet.</p>
    <ul class="rows">
      <li v-for="row in page.given" :key="row.id">
        <span class="soft">{{ row.age }}</span> <b>{{ row.text }}</b> <span class="soft">{{ row.by }}</span>
        <button v-if="row.running && writes" type="button" class="link-button" @click="end.send(row.id)">
          Fish are out
        </button>
        <span v-if="row.override" class="small">given all the same: {{ row.override }}</span>
        <span v-if="row.flag" class="fault small">{{ row.flag }}</span>
        <button
          v-if="writes"
          type="button"
          class="link-button small back"
          :aria-label="`Not given after all: ${row.text}`"
          @click="takeBack.send(row.id)"
        >
          Not given after all
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.back {
  margin-left: auto;
}
</style>
