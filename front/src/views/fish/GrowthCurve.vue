<script setup lang="ts">
import { computed } from 'vue'
import { quantity } from '@/units/chosen'
import { day } from '@/units/time'

const props = defineProps<{ measures: { on: string; reckoned_g: number; weight_g: number | null }[] }>()
const WIDTH = 320
const HEIGHT = 90
const PAD = 14
const points = computed(() => {
  const days = props.measures.map((one) => Date.parse(one.on))
  const heaviest = Math.max(...props.measures.map((one) => one.reckoned_g))
  const from = Math.min(...days)
  const span = Math.max(1, Math.max(...days) - from)
  return props.measures.map((one, i) => ({
    x: PAD + ((days[i]! - from) / span) * (WIDTH - 2 * PAD),
    y: HEIGHT - PAD - (one.reckoned_g / heaviest) * (HEIGHT - 2.4 * PAD),
    weighed: one.weight_g !== null,
  }))
})
const line = computed(() => points.value.map((one) => `${one.x},${one.y}`).join(' '))
const ends = computed(() => [props.measures[0]!, props.measures[props.measures.length - 1]!] as const)
const label = computed(
  () =>
    `From ${quantity(ends.value[0].reckoned_g, 'g', 3)} on ${day(ends.value[0].on)} to ` +
    `${quantity(ends.value[1].reckoned_g, 'g', 3)} on ${day(ends.value[1].on)}`,
)
</script>

<!-- Weight over time: filled where it was weighed, open where it follows from the length. -->
<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="label">
      <line :x1="PAD" :x2="WIDTH - PAD" :y1="HEIGHT - PAD" :y2="HEIGHT - PAD" />
      <polyline :points="line" />
      <circle
        v-for="(one, i) in points"
        :key="i"
        :cx="one.x"
        :cy="one.y"
        r="3.5"
        :class="{ weighed: one.weighed }"
      />
    </svg>
    <figcaption class="soft small">{{ label }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  max-width: 24rem;
  margin: 0.4rem 0;
}

svg {
  display: block;
  width: 100%;
}

line {
  stroke: var(--hair);
}

polyline {
  fill: none;
  stroke: var(--water);
  stroke-width: 2;
}

circle {
  fill: var(--paper);
  stroke: var(--water);
  stroke-width: 1.5;
}

.weighed {
  fill: var(--water);
}
</style>
