<script setup lang="ts">
import { computed } from 'vue'
import { useCard } from '@/api/queries'
import type { System } from '@/api/types'
import { quantity } from '@/units/chosen'
import { figures } from '@/units/number'

const props = defineProps<{ system: System }>()
const query = useCard(() => props.system.slug)
const card = computed(() => query.data.value)
const BY: Record<string, string> = {
  oxygen: 'then oxygen is dangerous',
  ammonia: 'then ammonia is dangerous',
  filter: 'then the filter goes foul',
}
const time = (minutes: number) =>
  minutes < 90 ? `${figures(minutes, 2)} min` : `${figures(minutes / 60, 2)} h`
const KINDS: Record<string, string> = {
  water: 'pump',
  circulator: 'circulation pump',
  air: 'air pump',
  airlift: 'airlift',
  heater: 'heater',
}
const print = () => window.print()
</script>

<!-- One page for whoever stands there in an emergency. -->
<template>
  <p v-if="query.isError.value && !card" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!card" class="soft">Reading the build …</p>
  <article v-else class="card">
    <p class="no-print">
      <button type="button" class="link-button" @click="print">Print it</button>
    </p>
    <p class="call">
      <b>Call:</b>
      <template v-if="card.call"> {{ card.call }}</template>
      <template v-else>
        nobody is written down. <RouterLink :to="{ name: 'you' }">Say whom on You</RouterLink>.</template
      >
    </p>
    <dl class="numbers">
      <div>
        <dt>Water</dt>
        <dd>
          <b>{{ card.volume_l > 0 ? quantity(card.volume_l, 'L', 3) : 'not known' }}</b>
        </dd>
      </div>
      <div>
        <dt>Fish</dt>
        <dd>
          <b>{{ card.fish }}</b> <span class="soft small">{{ quantity(card.kg, 'kg', 2) }}</span>
        </dd>
      </div>
      <div>
        <dt>With the pump off</dt>
        <dd>
          <b>{{ card.stands_min === null ? 'not known' : time(card.stands_min) }}</b>
          <span v-if="card.stands_by" class="soft small"> {{ BY[card.stands_by] ?? card.stands_by }}</span>
        </dd>
      </div>
    </dl>
    <p v-for="one in card.says" :key="one.code" class="caution">{{ one.text }}</p>
    <div class="plans">
      <section v-for="plan in card.plans" :key="plan.id" :aria-label="plan.name">
        <h2>{{ plan.name }}</h2>
        <ol>
          <li v-for="(step, i) in plan.steps" :key="i">{{ step }}</li>
        </ol>
      </section>
    </div>
    <div class="plans">
      <section aria-label="Valves">
        <h2>Valves</h2>
        <p v-if="!card.valves.length" class="soft">None is described.</p>
        <ul>
          <li v-for="one in card.valves" :key="one.name">
            <b>{{ one.name }}</b><span class="soft"
              ><template v-if="one.from">, from {{ one.from }}</template
              ><template v-if="one.to"> to {{ one.to }}</template></span
            >{{ one.open ? '' : ', shut' }}
          </li>
        </ul>
      </section>
      <section aria-label="Pumps and air">
        <h2>Pumps and air</h2>
        <p v-if="!card.devices.length" class="soft">None is described.</p>
        <ul>
          <li v-for="one in card.devices" :key="one.name">
            <b>{{ one.name }}</b><span class="soft"
              >, {{ KINDS[one.kind] ?? one.kind }}<template v-if="one.circuit">, {{ one.circuit }}</template
              ><template v-if="one.where">, in {{ one.where }}</template></span
            >
          </li>
        </ul>
      </section>
    </div>
    <p class="soft small">
      Switch off at the socket and dry your hands before moving any electrical equipment. Goes by the build
      and the fish, not by today's readings: Trouble knows more.
    </p>
  </article>
</template>

<style scoped>
.call {
  font-size: 1.25rem;
}

.plans {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(19rem, 1fr));
  gap: 0.25rem 2rem;
}

h2 {
  margin: 0.8rem 0 0.3rem;
  font-size: 1.05rem;
}

ol,
ul {
  padding-left: 1.2rem;
  margin: 0;
}

li {
  padding: 0.12rem 0;
}

@media print {
  .plans {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
