<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api } from '@/api/client'
import { queryClient, refreshBook } from '@/api/queries'
import { forgetAnswers } from '@/api/signal/kept'
import type { Session } from '@/api/types'
import { type Booked, lastBooked } from '@/state/booked'
import OpenTimers from './OpenTimers.vue'
import { switchTheme, theme } from '@/state/theme'

defineProps<{ person: NonNullable<Session['person']> }>()
defineEmits<{ keys: [] }>()

const route = useRoute()
const here = computed(() => (typeof route.params.system === 'string' ? route.params.system : null))

const undo = useMutation({
  mutationFn: (booked: Booked) =>
    booked.besides?.length
      ? answer(() =>
          api.DELETE('/api/systems/{system}/log/{id}', {
            params: { path: { system: booked.slug, id: booked.visit } },
          }),
        )
      : answer(() => api.DELETE('/api/visits/{visit}', { params: { path: { visit: booked.visit } } })),
  onSuccess: async () => {
    const slug = lastBooked.value?.slug
    lastBooked.value = null
    if (slug) await refreshBook()
  },
})

const what = computed(() => {
  const booked = lastBooked.value
  return booked
    ? [
        booked.count ? `${booked.count} ${booked.count === 1 ? 'reading' : 'readings'}` : '',
        ...(booked.besides ?? []),
      ]
        .filter(Boolean)
        .join(', ')
    : ''
})

const signOut = useMutation({
  mutationFn: () => answer(() => api.DELETE('/api/session')),
  onSuccess: async () => {
    lastBooked.value = null
    await forgetAnswers().catch(() => undefined)
    queryClient.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
    await queryClient.invalidateQueries({ queryKey: ['session'] })
  },
})
</script>

<template>
  <footer class="foot small no-print">
    <p v-if="lastBooked" class="booked" role="status">
      Booked {{ what }} at <b>{{ lastBooked.system }}</b>.
      <button
        type="button"
        class="link-button"
        :disabled="undo.isPending.value"
        @click="undo.mutate(lastBooked)"
      >
        Undo
      </button>
      <span v-if="undo.isError.value" class="fault">{{ undo.error.value?.message }}</span>
    </p>
    <span v-else class="soft">{{ person.site.name }}</span>
    <OpenTimers />
    <span class="right">
      <!-- From any page of a system: one press here, one on what is seen, and the first deed stands there. -->
      <RouterLink v-if="here" :to="{ name: 'trouble', params: { system: here } }"
        >Something wrong?</RouterLink
      >
      <RouterLink to="/calendar">Calendar</RouterLink>
      <RouterLink to="/report">Report</RouterLink>
      <RouterLink to="/shelf">Shelf</RouterLink>
      <RouterLink to="/sheets">Sheets</RouterLink>
      <RouterLink to="/you" class="who"
        >{{ person.name }}<template v-if="!person.writes">, reads only</template></RouterLink
      >
      <button type="button" class="link-button" @click="switchTheme">
        {{ theme === 'day' ? 'Night' : 'Day' }}
      </button>
      <button type="button" class="link-button keys" @click="$emit('keys')">Keys</button>
      <button type="button" class="link-button" @click="signOut.mutate()">Sign out</button>
    </span>
  </footer>
</template>

<style scoped>
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 1.5rem;
  padding: 0.25rem 1.25rem;
  border-top: 1px solid var(--hair);
  background: var(--paper);
}

.booked {
  border-left: 3px solid var(--leaf);
  padding-left: 0.6rem;
}

.right {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 1.1rem;
}

@media (max-width: 720px) {
  .keys {
    display: none;
  }

  .right {
    flex-wrap: wrap;
    justify-content: flex-end;
    gap: 0 1rem;
  }
}
</style>
