<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import type { Plumbing } from '@/api/types'
import { BOX, LAYER, layOut } from './loopLayout'

const props = defineProps<{ plumbing: Plumbing; slug: string; share?: Record<string, number> }>()

/** A phone held upright: the water goes down the page. */
const narrow = useMediaQuery('(max-width: 600px)')
const ROOM = 356
const drawing = computed(() => layOut(props.plumbing, narrow.value ? ROOM : undefined))
const filled = (key: string) => Math.min(1, Math.max(0, props.share?.[key.split(':')[1] ?? ''] ?? 0))
/** As much of a name as its box holds. */
const short = (name: string, width: number) => {
  const most = Math.floor(width / 6.6)
  return name.length > most ? `${name.slice(0, most - 1)}…` : name
}
/** What is not as it usually runs is named in its box. */
const stands = (box: { kind: string; bypassed: boolean; off: boolean }) => {
  if (box.bypassed) return 'bypassed'
  if (!box.off) return ''
  return box.kind === 'vessel' ? 'shut off' : box.kind === 'pump' ? 'off' : 'no flow'
}
</script>

<!-- The system drawn from its own build: lines as thick as their flow, shut ones broken, what is off hatched. -->
<template>
  <div class="loop" tabindex="0" role="region" aria-label="The loop, drawn">
    <svg
      :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
      :style="{ width: `${drawing.width}px` }"
      role="group"
      :aria-label="`Loop of ${drawing.boxes.length} parts and ${drawing.runs.length} lines`"
    >
      <defs>
        <pattern id="off" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" class="hatch" />
        </pattern>
        <marker
          id="way"
          viewBox="0 0 6 6"
          refX="5"
          refY="3"
          markerWidth="7"
          markerHeight="7"
          markerUnits="userSpaceOnUse"
          orient="auto"
        >
          <path d="M0 0L6 3L0 6Z" class="arrow" />
        </marker>
      </defs>
      <path
        v-for="run in drawing.runs"
        :key="run.id"
        :d="run.d"
        class="run"
        :class="{ shut: run.shut, back: run.back }"
        :stroke-width="run.width"
        marker-end="url(#way)"
      >
        <title>{{ run.name }}{{ run.shut ? ', shut' : '' }}</title>
      </path>
      <RouterLink
        v-for="box in drawing.boxes"
        :key="box.key"
        v-slot="{ href, navigate }"
        :to="{ name: 'build', params: { system: slug }, hash: `#${box.key}` }"
        custom
      >
        <a
          :href="href"
          :aria-label="[box.name, ...box.layers, stands(box)].filter(Boolean).join(', ')"
          @click="navigate"
        >
          <rect
            :x="box.x"
            :y="box.y"
            :width="box.width"
            :height="box.height"
            :rx="box.kind === 'junction' ? box.height / 2 : 0"
            class="box"
            :class="[box.kind, { bypassed: box.bypassed }]"
          />
          <rect
            v-if="box.kind === 'stage' && filled(box.key) > 0"
            :x="box.x"
            :y="box.y + box.height * (1 - filled(box.key))"
            :width="box.width"
            :height="box.height * filled(box.key)"
            class="filled"
          />
          <rect
            v-if="box.off"
            :x="box.x"
            :y="box.y"
            :width="box.width"
            :height="box.height"
            fill="url(#off)"
          />
          <title v-if="box.kind === 'junction'">{{ box.name }}</title>
          <template v-else>
            <template v-for="(layer, i) in box.layers" :key="layer">
              <path :d="`M${box.x} ${box.y + LAYER * (i + 1)}h${box.width}`" class="between" />
              <text class="layer" :x="box.x + box.width / 2" :y="box.y + LAYER * i + 12">
                {{ short(layer, 1.15 * box.width) }}
              </text>
            </template>
            <text
              :x="box.x + box.width / 2"
              :y="box.y + box.height - BOX.height / 2 + (stands(box) ? -1 : 4.5)"
            >
              {{ short(box.name, box.width) }}
            </text>
            <text v-if="stands(box)" class="stands" :x="box.x + box.width / 2" :y="box.y + box.height - 4">
              {{ stands(box) }}
            </text>
          </template>
        </a>
      </RouterLink>
    </svg>
  </div>
</template>

<style scoped>
.loop {
  overflow-x: auto;
  padding-bottom: 0.25rem;
}

svg {
  display: block;
  max-width: none;
  height: auto;
}

.box {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.2;
}

.vessel {
  stroke: var(--water);
  stroke-width: 2;
}

.junction {
  fill: var(--water);
  stroke: var(--water);
}

.pump {
  stroke-width: 2.6;
}

.bypassed {
  stroke: var(--rust);
  stroke-dasharray: 2 4;
}

.filled {
  fill: var(--straw);
  opacity: 0.45;
}

a:hover .box {
  stroke: var(--straw);
}

text {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--ink);
}

.layer,
.stands {
  font-size: 11px;
}

.stands {
  fill: var(--rust-ink);
}

.between {
  stroke: var(--soft);
  stroke-dasharray: 2 3;
}

.run {
  fill: none;
  stroke: var(--water);
  opacity: 0.75;
}

.back {
  opacity: 0.5;
}

.shut {
  stroke: var(--rust);
  stroke-dasharray: 4 7;
}

.hatch {
  stroke: var(--soft);
  stroke-width: 2;
}

.arrow {
  fill: var(--water);
}
</style>
