<script setup lang="ts">
import { computed } from 'vue'
import type { Strip } from '@/api/types'
import { figures } from '@/units/number'
import FigureButton from './FigureButton.vue'
import StateMark from './StateMark.vue'

const props = defineProps<{ strip: Strip }>()

const WIDTH = 1000
const HEIGHT = 26
const BASE = 20

const x = (value: number) => {
  const { from, to } = props.strip.scale
  return (WIDTH * Math.min(Math.max(value - from, 0), to - from)) / (to - from)
}

/** Each state is drawn as its own shape along the scale: a line, notches, a wedge, a bar. */
const pieces = computed(() => {
  const middle = props.strip.bands.findIndex((band) => band.state === 'good')
  return props.strip.bands.map((band, i) => {
    const [a, b] = [x(band.from), x(band.to)]
    const high = middle < 0 || i > middle
    const [near, far] = high ? [a, b] : [b, a]
    const shapes = {
      good: `M${a} ${BASE}H${b}`,
      watch: notches(a, b),
      act: `M${near} ${BASE}L${far} 6V${BASE}Z`,
      emergency: `M${a} 6H${b}V${BASE}H${a}Z`,
    }
    return { state: band.state, d: shapes[band.state] }
  })
})

function notches(a: number, b: number): string {
  const count = Math.max(1, Math.round((b - a) / 34))
  const step = (b - a) / count
  let d = `M${a} ${BASE}`
  for (let i = 0; i < count; i++) d += `h${step * 0.3}l${step * 0.2} -7l${step * 0.2} 7h${step * 0.3}`
  return d
}

const lozenge = computed(() => {
  const left = (100 * x(props.strip.low)) / WIDTH
  const right = (100 * x(props.strip.high)) / WIDTH
  return { left: `${(left + right) / 2}%`, width: `max(13px, ${right - left}%)` }
})

const number = (value: number) => figures(value)

/** Where good water ends, said on the scale. */
const edges = computed(() => {
  const { from, to } = props.strip.scale
  return props.strip.bands
    .filter((band) => band.state === 'good')
    .flatMap((band) => [band.from, band.to])
    .filter((edge) => edge > from && edge < to)
    .map((edge) => ({ text: number(edge), left: `${x(edge) / 10}%` }))
})
</script>

<template>
  <div class="strip" :class="strip.state" :data-parameter="strip.parameter">
    <div class="name">
      {{ strip.name }}
      <span v-if="strip.age" class="soft small"
        >{{ strip.age }}<template v-if="strip.by">, {{ strip.by }}</template></span
      >
    </div>
    <div class="reading">
      <FigureButton v-if="strip.figure" :figure="strip.figure" />
      <template v-else
        ><b>{{ strip.text }}</b> <span v-if="strip.unit" class="soft small">{{ strip.unit }}</span></template
      >
    </div>
    <div
      class="scale"
      role="img"
      :aria-label="`${strip.sentence}, ${strip.state}; between ${number(strip.low)} and ${number(strip.high)}`"
    >
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true">
        <path v-for="(piece, i) in pieces" :key="i" :d="piece.d" :class="piece.state" />
      </svg>
      <span class="lozenge" :style="lozenge" />
      <span v-for="edge in edges" :key="edge.left" class="edge small" :style="{ left: edge.left }">{{
        edge.text
      }}</span>
    </div>
    <StateMark :state="strip.state" class="state" />
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: 10.5rem 10.5rem minmax(8rem, 1fr) 6.75rem;
  align-items: center;
  gap: 0 1rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.name .soft {
  display: block;
}

.reading {
  font-size: 1.25rem;
  white-space: nowrap;
}

.scale {
  position: relative;
  height: 40px;
  margin: 0 8px;
}

svg {
  width: 100%;
  height: 26px;
  display: block;
}

path {
  vector-effect: non-scaling-stroke;
  stroke-width: 2;
}

path.good {
  stroke: var(--leaf);
  fill: none;
}

path.watch {
  stroke: var(--straw);
  fill: none;
}

path.act {
  fill: var(--rust);
  opacity: 0.55;
}

path.emergency {
  fill: var(--rust);
}

.lozenge {
  position: absolute;
  top: 4px;
  height: 21px;
  transform: translateX(-50%);
  background: var(--ink);
  clip-path: polygon(0 50%, 50% 0, 100% 50%, 50% 100%);
}

.edge {
  position: absolute;
  top: 22px;
  transform: translateX(-50%);
  color: var(--soft);
}

.strip.emergency {
  border-bottom-color: var(--rust);
  box-shadow: inset 0 -3px 0 var(--rust);
}

@container page (max-width: 640px) {
  .strip {
    grid-template-columns: 1fr auto auto;
    padding: 0.6rem 0 0.4rem;
  }

  .scale {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
