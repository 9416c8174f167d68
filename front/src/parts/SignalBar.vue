<script setup lang="ts">
import { computed } from 'vue'
import { useSystems } from '@/api/queries'
import { giveUp, signal, tryAgain } from '@/api/signal/signal'
import StateMark from './StateMark.vue'
import { clock } from '@/units/time'

const systems = useSystems()
const open = computed(() => signal.waiting.filter((one) => one.refused === undefined))
const refused = computed(() => signal.waiting.filter((one) => one.refused !== undefined))
/** The systems that something was booked of, as they are judged now. */
const judged = computed(() =>
  (systems.data.value ?? []).filter((one) => signal.sent.some((said) => said.startsWith(`${one.slug}: `))),
)
</script>

<!-- Whether the server answers, what waits on this device, and what became of it. -->
<template>
  <section
    v-if="signal.lost || signal.waiting.length || signal.sent.length"
    class="signal no-print"
    role="status"
    aria-label="Signal"
  >
    <p v-if="signal.lost">
      <b>No signal.</b>
      <template v-if="signal.keptAt"> What you see was read {{ clock(signal.keptAt) }}.</template>
      Readings, notes, ticks and the round are kept here and booked when it is back.
    </p>
    <details v-if="open.length">
      <summary>
        {{ open.length }} {{ open.length === 1 ? 'entry waits' : 'entries wait' }} on this device
      </summary>
      <ul>
        <li v-for="one in open" :key="one.id">{{ clock(one.madeAt) }} {{ one.says }}</li>
      </ul>
    </details>
    <div v-for="one in refused" :key="one.id" class="refused">
      <p class="fault">Not booked: {{ one.says }}, {{ clock(one.madeAt) }}. {{ one.refused }}</p>
      <button type="button" class="link-button" @click="tryAgain(one)">Try again</button>
      <button type="button" class="link-button" @click="giveUp(one.id ?? 0)">Throw it away</button>
    </div>
    <div v-if="signal.sent.length && !open.length">
      <p>
        <b>Booked now:</b> {{ signal.sent.join('; ') }}.
        <button type="button" class="link-button" @click="signal.sent = []">Seen</button>
      </p>
      <p v-for="one in judged" :key="one.slug">
        {{ one.name }} <StateMark :state="one.state" /> {{ one.worst }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.signal {
  position: sticky;
  top: 0;
  z-index: 2;
  padding: 0.5rem 1.25rem;
  border-bottom: 2px solid var(--ink);
  background: var(--sheet);
}

p {
  margin: 0.1rem 0;
}

.refused {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  align-items: baseline;
}
</style>
