<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useSession } from '@/api/queries'
import type { DosePage, System } from '@/api/types'

const props = defineProps<{ system: System; found: NonNullable<DosePage['thing']> }>()
const session = useSession()
const now = useNow({ interval: 60_000 })
const zone = computed(() => session.data.value?.person?.site.timezone ?? 'UTC')
const clock = (minutes: number) =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone.value }).format(
    now.value.getTime() + 60_000 * minutes,
  )
const day = computed(() =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeZone: zone.value }).format(now.value),
)
const cautions = computed(() => props.found.bench.cautions.filter((row) => row.level !== 'note'))
</script>

<!-- The sheet for the shed: on paper only, A5, large, with room to initial. -->
<template>
  <section class="sheet" aria-label="Dose sheet">
    <h2>{{ system.name }}: {{ found.name }}</h2>
    <p>{{ day }}</p>
    <p class="amount">{{ found.measure }}</p>
    <p v-if="found.split.length">
      <template v-for="(row, i) in found.split" :key="row.name"
        ><template v-if="i"> · </template>{{ row.name }}: <b>{{ row.text }}</b></template
      >
    </p>
    <p v-if="found.stock">{{ found.stock }}</p>
    <ol>
      <li v-for="step in found.order" :key="step">{{ step }} <span class="initial" /></li>
    </ol>
    <p v-if="found.minutes !== null">
      In at {{ clock(0) }}, out by <b>{{ clock(found.minutes) }}</b> at the latest.
    </p>
    <p v-else>Given at ______ . Look again at half past, and after two hours.</p>
    <p v-for="row in cautions" :key="row.text" class="caution">{{ row.text }}</p>
    <p>Given by ____________ Read against the label by ____________</p>
  </section>
</template>

<style>
@page sheet {
  size: A5;
  margin: 10mm;
}
</style>

<style scoped>
.sheet {
  display: none;
}

@media print {
  .sheet {
    display: block;
    page: sheet;
    font-size: 14pt;
    color: #000;
  }

  .amount {
    margin: 0.5rem 0;
    font-size: 26pt;
    font-weight: 700;
  }

  ol {
    padding-left: 1.4rem;
    list-style: decimal;
  }

  .initial {
    display: inline-block;
    width: 3rem;
    border-bottom: 1px solid #000;
  }
}
</style>
