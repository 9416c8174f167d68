<script setup lang="ts">
import { DRAWINGS, FIELD, place } from './outline'
import type { Mark, View } from './outline'

const props = defineProps<{ marks: readonly Mark[]; pressable?: boolean; small?: boolean }>()
const emit = defineEmits<{ press: [view: View, x: number, y: number] }>()
const VIEWS: readonly View[] = ['above', 'side']

function press(view: View, event: MouseEvent): void {
  if (!props.pressable) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const at = place(box, { x: event.clientX, y: event.clientY })
  emit('press', view, at.x, at.y)
}
const said = (view: View) =>
  props.marks
    .filter((mark) => mark.view === view)
    .map((mark) => mark.sign)
    .join(', ')
</script>

<!-- A koi from above and from the side, with what was seen where. -->
<template>
  <div class="outlines" :class="{ small }">
    <figure v-for="view in VIEWS" :key="view">
      <svg
        :viewBox="`0 0 ${FIELD.width} ${FIELD.height}`"
        role="img"
        :aria-label="`${DRAWINGS[view].name}${said(view) ? `: ${said(view)}` : ''}`"
        :class="{ pressable }"
        @click="press(view, $event)"
      >
        <path class="body" :d="DRAWINGS[view].body" />
        <path v-for="line in DRAWINGS[view].lines" :key="line" class="line" :d="line" />
        <g
          v-for="(mark, i) in marks"
          :key="i"
          :transform="`translate(${mark.x * FIELD.width} ${mark.y * FIELD.height})`"
        >
          <template v-if="mark.view === view">
            <path class="mark" d="M-5 -5 L5 5 M-5 5 L5 -5" />
            <text v-if="!small" x="8" y="4">{{ mark.sign }}</text>
          </template>
        </g>
      </svg>
      <figcaption v-if="!small" class="soft small">{{ DRAWINGS[view].name }}</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.outlines {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
}

figure {
  flex: 1 1 17rem;
  max-width: 26rem;
  margin: 0;
}

.small figure {
  flex: 0 0 9rem;
}

svg {
  display: block;
  width: 100%;
}

.pressable {
  cursor: crosshair;
  touch-action: manipulation;
}

.body {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}

.line {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1;
}

.mark {
  stroke: var(--rust);
  stroke-width: 3;
}

text {
  fill: var(--ink);
  font-size: 11px;
}
</style>
