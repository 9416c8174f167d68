<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { queryClient, useSystems } from '@/api/queries'
import { moved } from './walk'

const systems = useSystems()
const rows = computed(() => systems.data.value ?? [])
const open = ref(false)
const taken = ref<number | null>(null)
const send = useMutation({
  mutationFn: (order: string[]) => answer(() => api.PUT('/api/walk', { body: { order } })),
  onSuccess: async () => {
    await Promise.all([
      queryClient.invalidateQueries({ queryKey: ['systems'] }),
      queryClient.invalidateQueries({ queryKey: ['round'] }),
    ])
  },
})
function move(from: number, to: number): void {
  const order = rows.value.map((one) => one.slug)
  if (from !== to && to >= 0 && to < order.length) send.mutate(moved(order, from, to))
}
function drop(to: number): void {
  if (taken.value !== null) move(taken.value, to)
  taken.value = null
}
</script>

<!-- The order in which one walks: dragged, or moved by keys. It holds on every page. -->
<template>
  <section class="part" aria-label="Walking order">
    <button type="button" class="link-button" :aria-expanded="open" @click="open = !open">
      Walking order
    </button>
    <template v-if="open">
      <p class="soft small">
        Drag them into the order you walk: clean water first, quarantine and hospital last. It holds for
        everybody and on every page.
      </p>
      <ol>
        <li
          v-for="(one, i) in rows"
          :key="one.slug"
          draggable="true"
          :class="{ taken: taken === i }"
          @dragstart="taken = i"
          @dragend="taken = null"
          @dragover.prevent
          @drop.prevent="drop(i)"
        >
          <span>{{ one.name }}</span>
          <button
            type="button"
            class="link-button"
            :aria-label="`${one.name} earlier`"
            :disabled="i === 0"
            @click="move(i, i - 1)"
          >
            Up
          </button>
          <button
            type="button"
            class="link-button"
            :aria-label="`${one.name} later`"
            :disabled="i === rows.length - 1"
            @click="move(i, i + 1)"
          >
            Down
          </button>
        </li>
      </ol>
      <p v-if="send.isError.value" class="fault" role="alert">{{ send.error.value?.message }}</p>
    </template>
  </section>
</template>

<style scoped>
ol {
  max-width: 30rem;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 1.25rem;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--hair);
  cursor: grab;
}

.taken {
  opacity: 0.5;
}

button {
  min-height: 44px;
}
</style>
