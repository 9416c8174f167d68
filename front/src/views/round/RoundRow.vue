<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { ulid } from 'ulid'
import { computed, ref } from 'vue'
import { answer, api, orWaits, Refusal } from '@/api/client'
import { refreshBook } from '@/api/queries'
import type { Round } from '@/api/types'
import { signal } from '@/api/signal/signal'
import StateMark from '@/parts/StateMark.vue'
import { lastBooked } from '@/state/booked'
import SkipIt from './SkipIt.vue'

const props = defineProps<{
  row: Round['rows'][number]
  writes: boolean
  /** The round somebody walks, if they do. */
  round?: string
  walked: boolean
  skipped?: string | null
  since: string | null
}>()
const line = ref('')
const key = ref(ulid())
const wellKey = ref(ulid())
const path = () => ({ params: { path: { system: props.row.slug } } })
const log = useMutation({
  mutationFn: () =>
    answer(() =>
      api.POST('/api/systems/{system}/log', { ...path(), body: { id: key.value, line: line.value } }),
    ).catch(orWaits),
  onSuccess: async (visit) => {
    lastBooked.value = visit && {
      visit: visit.id,
      slug: props.row.slug,
      system: props.row.name,
      count: visit.readings.length,
      besides: visit.besides,
    }
    line.value = ''
    key.value = ulid()
    await refreshBook()
  },
})
const well = useMutation({
  mutationFn: () =>
    answer(() =>
      api.PUT('/api/systems/{system}/notes/{id}', {
        params: { path: { system: props.row.slug, id: wellKey.value } },
        body: { words: 'Looked at on the round: all well.' },
      }),
    ).catch(orWaits),
  onSuccess: async () => {
    wellKey.value = ulid()
    await refreshBook()
  },
})
/** Something of this system waits on this device. */
const kept = computed(() =>
  signal.waiting.some(
    (one) => /\/(log|notes\/\w+)$/.test(one.path) && one.path.includes(`/${props.row.slug}/`),
  ),
)
const fault = (error: Error | null) =>
  error instanceof Refusal ? (error.errors.line ?? error.message) : (error?.message ?? null)
</script>

<!-- One system on the round: what is due there and what to look for, a line to book what is read, or a tick. -->
<template>
  <li :class="{ walked: walked || kept, left: skipped }">
    <div class="what">
      <p class="head">
        <RouterLink :to="{ name: 'system', params: { system: row.slug } }" class="name">{{
          row.name
        }}</RouterLink>
        <StateMark :state="row.state" />
        <RouterLink
          v-if="row.state === 'act' || row.state === 'emergency'"
          class="small"
          :to="{ name: 'trouble', params: { system: row.slug } }"
          >What to do</RouterLink
        >
      </p>
      <p v-if="row.worst">{{ row.worst }}</p>
      <p v-if="row.due.length">
        <span class="soft">Test</span>
        <template v-for="(test, i) in row.due" :key="test.name"
          ><template v-if="i">, </template
          ><b :class="{ fault: test.stands === 'late' }"
            >{{ test.name }}{{ test.stands === 'late' ? ', late' : '' }}</b
          ></template
        >
      </p>
      <p v-for="text in row.doses" :key="text">
        <RouterLink :to="{ name: 'course', params: { system: row.slug } }">Dose</RouterLink> {{ text }}
      </p>
      <p v-for="text in row.water" :key="text">
        <RouterLink :to="{ name: 'maturing', params: { system: row.slug } }">Water</RouterLink> {{ text }}
      </p>
      <p v-for="text in row.service" :key="text"><span class="soft">Service:</span> {{ text }}</p>
      <p v-if="row.incident">
        <RouterLink :to="{ name: 'trouble', params: { system: row.slug } }">Incident</RouterLink>
        {{ row.incident.text }}
      </p>
      <p v-if="row.look">
        <RouterLink :to="{ name: 'look', params: { system: row.slug } }">Look at the fish</RouterLink>
        {{ row.look.text }}
      </p>
      <p v-for="text in row.fish" :key="text"><span class="soft">Look again:</span> {{ text }}</p>
      <p v-if="row.changed.length" class="soft small">
        <template v-if="since">Since your round {{ since }}: </template>{{ row.changed.join('; ') }}
      </p>
    </div>
    <div class="book">
      <p class="soft small">
        {{ kept ? 'Kept on this device. ' : ''
        }}{{
          row.looked ? `Looked at ${row.looked}` : row.last ? `Last tested ${row.last}` : 'Not tested yet'
        }}
      </p>
      <form v-if="writes" novalidate @submit.prevent="log.mutate()">
        <input
          v-model="line"
          class="inline"
          :aria-label="`Readings of ${row.name}`"
          placeholder="am .1 ni 0 ph 7.6 t 18"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
        />
        <button type="submit" class="link-button small" :disabled="line.trim() === '' || log.isPending.value">
          Book
        </button>
        <RouterLink
          class="small"
          :aria-label="`Look at the fish of ${row.name}`"
          :to="{ name: 'look', params: { system: row.slug } }"
          >Look</RouterLink
        >
        <button
          type="button"
          class="link-button small"
          :aria-label="`All well at ${row.name}`"
          :disabled="well.isPending.value"
          @click="well.mutate()"
        >
          All well
        </button>
      </form>
      <SkipIt
        v-if="writes && round && !walked"
        :slug="row.slug"
        :name="row.name"
        :round="round"
        :skipped="skipped"
      />
      <p v-if="fault(log.error.value ?? well.error.value)" class="fault small" role="alert">
        {{ fault(log.error.value ?? well.error.value) }}
      </p>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 22rem;
  gap: 0.5rem 2rem;
  padding: 0.9rem 0;
  border-bottom: 1px solid var(--hair);
}

.walked {
  border-left: 4px solid var(--leaf);
  padding-left: 0.75rem;
}

.left {
  padding-left: 0.75rem;
  border-left: 4px solid var(--hair);
}

.head {
  display: flex;
  gap: 0.9rem;
  align-items: baseline;
}

.name {
  font-size: 1.25rem;
  font-weight: 700;
  text-decoration: none;
}

form {
  display: flex;
  gap: 1rem;
  align-items: baseline;
}

input {
  flex: 1;
  min-width: 0;
  min-height: 44px;
}

@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
