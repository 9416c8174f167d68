<script setup lang="ts">
import { computed } from 'vue'
import type { CoursePage } from '@/api/types'
import { figures } from '@/units/number'

const props = defineProps<{ course: Pick<CoursePage['courses'][number], 'curve' | 'unit'> }>()
const WIDTH = 900
const HEIGHT = 130
const drawing = computed(() => {
  const points = props.course.curve
  const first = points[0]?.t ?? 0
  const last = points[points.length - 1]?.t ?? 1
  const most = Math.max(...points.map((point) => point.mg_l), 1e-9)
  const x = (t: number) => 4 + ((t - first) / Math.max(1, last - first)) * (WIDTH - 8)
  const y = (v: number) => 22 + (1 - v / most) * (HEIGHT - 44)
  const now = Date.now() / 1000
  const path = (run: typeof points) =>
    run.map((point, i) => `${i ? 'L' : 'M'}${x(point.t).toFixed(1)} ${y(point.mg_l).toFixed(1)}`).join('')
  const split = points.findIndex((point) => point.t > now)
  const past = split < 0 ? points : points.slice(0, split)
  return {
    past: path(past),
    ahead: split < 0 ? '' : path(points.slice(Math.max(0, split - 1))),
    now: split < 0 ? null : x(now),
    most,
    days: Math.round((last - first) / 86_400),
  }
})
const number = (value: number) => figures(value)
</script>

<!-- What is left in the water between doses, and as it goes on if nothing is given. -->
<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="img"
    :aria-label="`What is left over ${drawing.days} days, ${number(drawing.most)} ${course.unit} at most`"
  >
    <line x1="4" :x2="WIDTH - 4" :y1="HEIGHT - 22" :y2="HEIGHT - 22" class="rule" />
    <path :d="drawing.past" class="past" />
    <path v-if="drawing.ahead" :d="drawing.ahead" class="ahead" />
    <line
      v-if="drawing.now !== null"
      :x1="drawing.now"
      :x2="drawing.now"
      y1="12"
      :y2="HEIGHT - 22"
      class="now"
    />
    <text x="6" y="14">{{ number(drawing.most) }} {{ course.unit }}</text>
    <text x="6" :y="HEIGHT - 6">first dose</text>
    <text
      v-if="drawing.now !== null && drawing.now > 110"
      :x="drawing.now"
      :y="HEIGHT - 6"
      text-anchor="middle"
    >
      now
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  margin: 0.5rem 0;
}

.rule {
  stroke: var(--hair);
}

.past,
.ahead {
  fill: none;
  stroke: var(--water);
  stroke-width: 2;
}

.ahead {
  stroke-dasharray: 5 5;
}

.now {
  stroke: var(--straw);
}

text {
  font-size: 13px;
  fill: var(--soft);
}
</style>
