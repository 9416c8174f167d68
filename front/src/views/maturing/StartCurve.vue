<script setup lang="ts">
import { computed } from 'vue'
import type { Maturing } from '@/api/types'
import { day } from '@/units/time'
import { figures } from '@/units/number'

const props = defineProps<{ start: Maturing }>()
const WIDTH = 900
const LANE = 170
const FOOT = 26
const LEFT = 46
type Lane = 'tan' | 'no2'
const NAMES: Record<Lane, string> = { tan: 'Ammonia', no2: 'Nitrite' }

const drawing = computed(() => {
  const { curve, readings, limits } = props.start
  const first = curve[0]?.t ?? 0
  const last = curve[curve.length - 1]?.t ?? 1
  const now = curve.find((point) => point.ahead)?.t ?? last
  const x = (t: number) => LEFT + ((t - first) / Math.max(1, last - first)) * (WIDTH - LEFT - 8)
  const lanes = (['tan', 'no2'] as const).map((key, row) => {
    const seen = readings.flatMap((reading) =>
      reading[key] ? [{ t: reading.t, low: reading[key]![0] ?? 0, high: reading[key]![1] ?? 0 }] : [],
    )
    // A kit at its end says "at least": its bar would be all there is to see.
    const top =
      1.15 *
      Math.max(
        ...curve.map((point) => point[key]),
        ...curve.map((point) => Math.min(point[`${key}_band`][1] ?? 0, 3 * point[key] + 1)),
        0.5,
      )
    const y = (value: number) => row * LANE + 22 + (1 - Math.min(1, value / top)) * (LANE - 34)
    const line = (run: typeof curve) =>
      run.map((point, i) => `${i ? 'L' : 'M'}${x(point.t).toFixed(1)} ${y(point[key]).toFixed(1)}`).join('')
    const ahead = curve.filter((point) => point.ahead)
    const edge = (end: 0 | 1) =>
      ahead.map((point) => `${x(point.t).toFixed(1)} ${y(point[`${key}_band`][end] ?? 0).toFixed(1)}`)
    return {
      key,
      name: NAMES[key],
      past: line(curve.filter((point) => !point.ahead).concat(ahead.slice(0, 1))),
      ahead: line(ahead),
      band: ahead.length ? `M${edge(1).join('L')}L${edge(0).reverse().join('L')}Z` : '',
      bars: seen.map((reading) => ({ x: x(reading.t), top: y(reading.high), bottom: y(reading.low) })),
      limit: y(key === 'tan' ? limits.tan_mg_l : limits.no2_n_mg_l),
      top: row * LANE + 22,
      foot: y(0),
      most: top,
    }
  })
  return {
    lanes,
    now: x(now),
    first: new Date(first * 1000).toISOString(),
    last: new Date(last * 1000).toISOString(),
    ready: props.start.ready_on ? x(new Date(props.start.ready_on).getTime() / 1000) : null,
  }
})
const number = (value: number) => figures(value, 2)
const told = computed(
  () =>
    `Ammonia and nitrite from ${day(drawing.value.first)} to ${day(drawing.value.last)}, as read, by the model, ` +
    'and as foreseen',
)
</script>

<!--
  Ammonia over nitrite on one time axis: what was read, what the model makes of it, and on from today with its
  band hatched.
-->
<template>
  <div class="scroll" tabindex="0" role="region" aria-label="Ammonia and nitrite of this start">
    <svg :viewBox="`0 0 ${WIDTH} ${2 * LANE + FOOT}`" role="img" :aria-label="told">
      <defs>
        <pattern id="ahead" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" class="hatch" />
        </pattern>
      </defs>
      <g v-for="lane in drawing.lanes" :key="lane.key">
        <path v-if="lane.band" :d="lane.band" fill="url(#ahead)" />
        <line :x1="LEFT" :x2="WIDTH - 8" :y1="lane.foot" :y2="lane.foot" class="rule" />
        <line :x1="LEFT" :x2="WIDTH - 8" :y1="lane.limit" :y2="lane.limit" class="limit" />
        <line
          v-for="(bar, i) in lane.bars"
          :key="i"
          :x1="bar.x"
          :x2="bar.x"
          :y1="bar.top"
          :y2="Math.max(bar.bottom, bar.top + 3)"
          class="read"
        />
        <path :d="lane.past" class="past" />
        <path :d="lane.ahead" class="ahead" />
        <text :x="LEFT" :y="lane.top - 7" class="name">
          {{ lane.name }}
          <tspan class="unit">mg/L as N</tspan>
        </text>
        <text :x="LEFT - 6" :y="lane.top + 12" text-anchor="end">{{ number(lane.most) }}</text>
        <text :x="LEFT - 6" :y="lane.foot" text-anchor="end">0</text>
      </g>
      <line :x1="drawing.now" :x2="drawing.now" y1="22" :y2="2 * LANE - 12" class="now" />
      <line
        v-if="drawing.ready !== null"
        :x1="drawing.ready"
        :x2="drawing.ready"
        y1="22"
        :y2="2 * LANE - 12"
        class="done"
      />
      <text :x="LEFT" :y="2 * LANE + 12">{{ day(drawing.first) }}</text>
      <text v-if="drawing.now > LEFT + 130" :x="drawing.now" :y="2 * LANE + 12" text-anchor="middle">
        today
      </text>
      <text
        v-if="drawing.ready !== null && drawing.ready - drawing.now > 70"
        :x="drawing.ready"
        :y="2 * LANE + 12"
        text-anchor="middle"
      >
        ready
      </text>
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  min-width: 34rem;
  margin: 0.75rem 0;
}

.rule {
  stroke: var(--hair);
}

.limit {
  stroke: var(--soft);
  stroke-dasharray: 2 4;
}

.read {
  stroke: var(--ink);
  stroke-width: 4;
  opacity: 0.45;
}

.past,
.ahead {
  fill: none;
  stroke: var(--water);
  stroke-width: 2;
}

.ahead {
  stroke-dasharray: 6 5;
}

.hatch {
  stroke: var(--water);
  stroke-width: 1.5;
  opacity: 0.45;
}

.now {
  stroke: var(--straw);
  stroke-width: 2;
}

.done {
  stroke: var(--leaf);
  stroke-width: 2;
}

text {
  font-size: 13px;
  fill: var(--soft);
}

.name {
  fill: var(--ink);
  font-weight: 700;
}

.unit {
  fill: var(--soft);
  font-weight: 400;
}
</style>
