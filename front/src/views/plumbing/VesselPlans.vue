<script setup lang="ts">
import { computed } from 'vue'
import type { Plumbing, System } from '@/api/types'
import { figures } from '@/units/number'
import { planOf } from './vesselPlan'

const props = defineProps<{ plumbing: Plumbing; system: System }>()
const plans = computed(() =>
  props.plumbing.vessels.flatMap((flowing) => {
    const vessel = props.system.build.vessels.find((one) => one.id === flowing.id)
    const plan = vessel && vessel.holds_fish ? planOf(vessel, props.system.build, flowing.stagnant) : null
    return plan && plan.marks.length ? [{ ...plan, flowing }] : []
  }),
)
const ENDS = { one_end: 'The end that is called “one end”', far_end: 'The other end' }
</script>

<!-- Each vessel from above: where its water goes in and out, and which way it is blown. -->
<template>
  <section v-if="plans.length" class="part" aria-label="Vessels from above">
    <h2>From above</h2>
    <ul class="plans">
      <li v-for="plan in plans" :key="plan.flowing.id">
        <svg :viewBox="`-14 -14 ${plan.width + 28} ${plan.height + 28}`" role="img" :aria-label="plan.says">
          <defs>
            <pattern
              :id="`still-${plan.flowing.id}`"
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <path d="M0 0V6" class="hatch" />
            </pattern>
          </defs>
          <path :d="plan.outline" class="outline" />
          <rect
            v-if="plan.still"
            :x="plan.still.x"
            :y="0"
            :width="plan.still.width"
            :height="plan.height"
            :fill="`url(#still-${plan.flowing.id})`"
          />
          <g v-for="mark in plan.marks" :key="mark.key" :class="mark.kind">
            <title>{{ mark.title }}</title>
            <circle v-if="mark.kind === 'intake'" :cx="mark.x" :cy="mark.y" r="6" />
            <path v-else :d="mark.d" />
            <circle
              v-if="mark.kind === 'circulator'"
              :cx="mark.x"
              :cy="mark.y"
              r="5"
              :class="{ bare: mark.bare }"
            />
          </g>
        </svg>
        <p>
          <b>{{ plan.flowing.name }}</b>
          <span v-if="plan.flowing.current_cm_s !== null" class="soft small">
            {{ figures(plan.flowing.current_cm_s, 2) }} cm/s along it<template
              v-if="plan.flowing.current_lengths_s !== null"
              >, {{ figures(plan.flowing.current_lengths_s, 2) }} lengths a second of its smallest
              fish</template
            ></span
          >
          <span v-if="plan.flowing.stagnant" class="caution"
            >{{ ENDS[plan.flowing.stagnant] }} is stagnant.</span
          >
        </p>
      </li>
    </ul>
    <p class="soft small">
      Rings: water goes out. Arrows: water comes in, the way it blows. Dots with an arrow: circulators, ringed
      in red without a guard.
    </p>
  </section>
</template>

<style scoped>
.plans {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 2rem;
}

.plans li {
  width: 15rem;
  border: 0;
}

svg {
  display: block;
  width: 100%;
  height: auto;
}

.outline {
  fill: var(--sheet);
  stroke: var(--water);
  stroke-width: 2;
}

.intake circle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.return path,
.circulator path {
  fill: none;
  stroke: var(--water);
  stroke-width: 2.5;
}

.circulator circle {
  fill: var(--water);
}

.circulator .bare {
  stroke: var(--rust);
  stroke-width: 2.5;
}

.hatch {
  stroke: var(--rust);
  stroke-width: 1.5;
}
</style>
