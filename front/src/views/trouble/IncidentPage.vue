<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useIncident } from '@/api/queries'
import type { System } from '@/api/types'
import { quantity } from '@/units/chosen'
import { clock } from '@/units/time'

const props = defineProps<{ system: System }>()
const route = useRoute()
const query = useIncident(
  () => props.system.slug,
  () => String(route.params.incident),
)
const incident = computed(() => query.data.value)
const print = () => window.print()
</script>

<!-- One incident: what was read, done and lost in order of time, what would have shown it, what changes. -->
<template>
  <p v-if="query.isError.value && !incident" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!incident" class="soft">Reading the book …</p>
  <template v-else>
    <p class="lead">
      <template v-if="incident.cause">{{ incident.cause }}.</template>
      <template v-else>Open: the steps stand on Trouble.</template>
      It began with {{ incident.event }}, {{ clock(incident.opened_at)
      }}<template v-if="incident.opened_by">, opened by {{ incident.opened_by }}</template
      ><template v-if="incident.ended_at"
        >; closed {{ clock(incident.ended_at)
        }}<template v-if="incident.ended_by"> by {{ incident.ended_by }}</template></template
      >.
    </p>
    <p>
      {{ incident.lost === 0 ? 'No fish died' : `${incident.lost} fish died`
      }}<template v-if="incident.lost">, {{ quantity(incident.lost_kg, 'kg', 2) }}</template
      >. {{ quantity(incident.litres, 'L', 3) }} of water changed.
    </p>
    <p v-if="incident.cost !== null">
      <b>It cost {{ incident.cost.toFixed(2) }}.</b>
    </p>
    <p v-for="one in incident.cost_says" :key="one.code" class="soft small">{{ one.text }}</p>
    <p>{{ incident.first.text }}</p>
    <p v-if="incident.prevent"><b>So that it does not come back:</b> {{ incident.prevent }}</p>
    <p v-if="incident.early_why" class="soft">Closed before its rule was met: {{ incident.early_why }}</p>
    <p class="no-print">
      <button type="button" class="link-button" @click="print">Print it</button>
      <RouterLink class="back" :to="{ name: 'trouble', params: { system: system.slug } }">Trouble</RouterLink>
    </p>
    <section class="part" aria-label="In order of time">
      <h2>In order of time</h2>
      <ol class="rows">
        <li v-for="(line, i) in incident.lines" :key="i" :class="line.kind">
          <span class="soft when">{{ clock(line.at) }}</span>
          <span
            >{{ line.text }}<span v-if="line.by" class="soft small">{{ ` ${line.by}` }}</span></span
          >
        </li>
      </ol>
      <p v-if="!incident.lines.length" class="soft">Nothing was written down yet.</p>
    </section>
  </template>
</template>

<style scoped>
.when {
  flex: none;
  width: 9.5rem;
}

.reading {
  font-weight: 700;
}

.back {
  margin-left: 1.5rem;
}

.rows li {
  display: flex;
  flex-wrap: nowrap;
  gap: 1rem;
}
</style>
