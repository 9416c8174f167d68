<script setup lang="ts">
import { answer, api } from '@/api/client'
import type { System, WaterPage } from '@/api/types'
import { useSend } from '@/api/useSend'

const props = defineProps<{ system: System; page: WaterPage; writes: boolean }>()
const path = (id: string) => ({ params: { path: { system: props.system.slug, id } } })
const takeBack = useSend((id: string) =>
  answer(() => api.DELETE('/api/systems/{system}/changes/{id}', path(id))),
)
const flows = useSend((id: string) =>
  answer(() => api.PUT('/api/systems/{system}/changes/{id}/flow', path(id))),
)
const putIn = useSend((to: { id: string; what: string }) =>
  answer(() =>
    api.PUT('/api/systems/{system}/changes/{id}/put-back/{what}', {
      params: { path: { system: props.system.slug, id: to.id, what: to.what } },
    }),
  ),
)
const putOut = useSend((to: { id: string; what: string }) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/changes/{id}/put-back/{what}', {
      params: { path: { system: props.system.slug, id: to.id, what: to.what } },
    }),
  ),
)
</script>

<!-- What was changed, what runs still, and what the new water is short of. -->
<template>
  <section class="part" aria-label="Changes in the book">
    <h2>In the book</h2>
    <p v-if="page.changes.length === 0" class="soft">No change is booked yet.</p>
    <p v-if="takeBack.errors.value.flow" class="fault" role="alert">{{ takeBack.errors.value.flow }}</p>
    <ul class="rows">
      <li v-for="row in page.changes" :key="row.id">
        <span class="soft">{{ row.age }}</span> <b>{{ row.text }}</b> <span class="soft">{{ row.by }}</span>
        <template v-if="row.running"
          ><b class="fault">pump off</b
          ><button v-if="writes" type="button" class="link-button" @click="flows.send(row.id)">
            Flow seen
          </button></template
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small back"
          :aria-label="`Undo: ${row.text}`"
          @click="takeBack.send(row.id)"
        >
          Undo
        </button>
        <ul v-if="row.put_back.length" class="put">
          <li v-for="item in row.put_back" :key="item.what" :class="{ soft: item.done }">
            {{ item.done ? 'Is in:' : 'Put in:' }} <b>{{ item.text }}</b>
            <button
              v-if="writes && item.done"
              type="button"
              class="link-button small"
              :aria-label="`${item.name} is not in after all`"
              @click="putOut.send({ id: row.id, what: item.what })"
            >
              Not in after all
            </button>
            <button
              v-else-if="writes"
              type="button"
              class="link-button small"
              :aria-label="`${item.name} is in`"
              @click="putIn.send({ id: row.id, what: item.what })"
            >
              It is in
            </button>
          </li>
        </ul>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.back {
  margin-left: auto;
}

.put {
  flex-basis: 100%;
  padding-left: 0.75rem;
  border-left: 3px solid var(--straw);
}
</style>
