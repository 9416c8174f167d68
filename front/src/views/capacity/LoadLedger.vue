<script setup lang="ts">
import { computed } from 'vue'
import type { Capacity } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'

const props = defineProps<{ capacity: Capacity }>()

const LABELS = { surface: 'By surface area', oxygen: 'By oxygen', transport: 'By flow' }

/** Room for the load and the shortest limits; what runs far beyond is torn off at the edge. */
const reach = computed(() => {
  const shortest = Math.min(...props.capacity.limits.map((limit) => limit.figure.value))
  return 1.9 * Math.max(props.capacity.load.value, shortest, props.capacity.capacity?.value ?? 0, 1e-6)
})
const width = (value: number) => Math.min(100, (100 * value) / reach.value)
const rows = computed(() => [
  { key: 'load', label: 'Load', figure: props.capacity.load },
  ...(props.capacity.capacity
    ? [{ key: 'capacity', label: 'Filter capacity today', figure: props.capacity.capacity }]
    : []),
  ...(props.capacity.grown
    ? [{ key: 'grown', label: 'Capacity when fully grown', figure: props.capacity.grown }]
    : []),
  ...props.capacity.limits.map((limit) => ({
    key: limit.limit,
    label: LABELS[limit.limit],
    figure: limit.figure,
  })),
])
const marks = computed(() => {
  const step = 10 ** Math.floor(Math.log10(reach.value / 2))
  const nice = reach.value / step > 10 ? 5 * step : reach.value / step > 4 ? 2 * step : step
  return Array.from({ length: Math.floor(reach.value / nice) + 1 }, (_, i) =>
    Number((i * nice).toPrecision(6)),
  )
})
</script>

<template>
  <figure class="ledger" role="group" aria-label="Load against the limits, in grams of nitrogen a day">
    <div
      v-for="row in rows"
      :key="row.key"
      class="row"
      :class="[row.key, { shortest: row.key === capacity.shortest }]"
    >
      <span class="label"
        >{{ row.label }}<span v-if="row.key === capacity.shortest" class="soft small"> the limit</span></span
      >
      <FigureButton :figure="row.figure" bare class="amount" />
      <span class="track"
        ><span
          class="bar"
          :class="{ torn: width(row.figure.value) >= 100 }"
          :style="{ width: `${width(row.figure.value)}%` }"
      /></span>
    </div>
    <div class="row axis" aria-hidden="true">
      <span /><span class="soft small unit">g N/d</span>
      <span class="track"
        ><span
          v-for="mark in marks"
          :key="mark"
          class="mark small soft"
          :style="{ left: `${width(mark)}%` }"
          >{{ mark }}</span
        ></span
      >
    </div>
    <div class="over" aria-hidden="true">
      <span class="track"><span class="line" :style="{ left: `${width(capacity.load.value)}%` }" /></span>
    </div>
  </figure>
</template>

<style scoped>
.ledger {
  position: relative;
  display: grid;
}

.row {
  display: grid;
  grid-template-columns: 11rem 5rem minmax(0, 1fr);
  gap: 0 1rem;
  align-items: center;
  min-height: 2.5rem;
}

.amount {
  justify-self: end;
  font-size: 1.25rem;
}

.track {
  position: relative;
  display: block;
  height: 100%;
}

.bar {
  position: absolute;
  left: 0;
  top: 0.65rem;
  height: 1.2rem;
  background: var(--leaf);
  opacity: 0.5;
}

.load .bar {
  background: var(--ink);
  opacity: 1;
}

.capacity .bar {
  background: var(--leaf);
  opacity: 1;
}

.capacity {
  border-bottom: 1px solid var(--hair);
}

.shortest .bar {
  background: var(--straw);
  opacity: 1;
}

.torn {
  clip-path: polygon(
    0 0,
    calc(100% - 7px) 0,
    100% 25%,
    calc(100% - 7px) 50%,
    100% 75%,
    calc(100% - 7px) 100%,
    0 100%
  );
}

.over {
  position: absolute;
  inset: 2.4rem 0 2.4rem;
  display: grid;
  grid-template-columns: 11rem 5rem minmax(0, 1fr);
  gap: 0 1rem;
  pointer-events: none;
}

.over .track {
  grid-column: 3;
}

.line {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px dashed var(--ink);
  margin-left: -1px;
}

.axis {
  min-height: 1.75rem;
  border-top: 1px solid var(--soft);
  align-items: start;
}

.unit {
  justify-self: end;
}

.mark {
  position: absolute;
  transform: translateX(-50%);
}

.mark:first-child {
  transform: none;
}

@media (max-width: 720px) {
  .row,
  .over {
    grid-template-columns: 6.5rem 3.5rem minmax(0, 1fr);
    gap: 0 0.6rem;
  }

  .label .soft {
    display: block;
  }
}
</style>
