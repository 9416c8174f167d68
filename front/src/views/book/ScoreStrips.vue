<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useScore, useSession } from '@/api/queries'
import type { System } from '@/api/types'
import { figures } from '@/units/number'
import { layOutScore, LEFT, nearest, STRIP } from './scoreLayout'

const props = defineProps<{ system: System }>()
const SPANS = [
  ['1', 'a day'],
  ['7', 'a week'],
  ['30', 'a month'],
  ['91', 'three months'],
  ['183', 'half a year'],
  ['366', 'a year'],
  ['1097', 'three years'],
  ['3653', 'ten years'],
] as const

const days = ref('30')
const back = ref(0)
const box = useTemplateRef('box')
const { width } = useElementSize(box)
const drawn = computed(() => Math.max(280, Math.floor(width.value || 800)))
const session = useSession()
const zone = computed(() => session.data.value?.person?.site.timezone ?? 'UTC')

const now = ref(Date.now())
const span = computed(() => {
  const length = Number(days.value) * 86_400_000
  const to = now.value - back.value * length
  return {
    from: new Date(to - length).toISOString(),
    to: new Date(to).toISOString(),
    pixels: String(Math.min(2000, Math.ceil(drawn.value / 50) * 50)),
  }
})
const score = useScore(() => props.system.slug, span)
const drawing = computed(() =>
  score.data.value ? layOutScore(score.data.value, drawn.value, zone.value) : null,
)

const cursor = ref<number>()
const svg = useTemplateRef('svg')
function move(event: MouseEvent): void {
  const rect = svg.value?.getBoundingClientRect()
  if (rect)
    cursor.value = Math.min(
      drawn.value - LEFT,
      Math.max(LEFT, ((event.clientX - rect.left) / rect.width) * drawn.value),
    )
}
function key(event: KeyboardEvent): void {
  const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -20, PageDown: 20 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  cursor.value = Math.min(drawn.value - LEFT, Math.max(LEFT, (cursor.value ?? drawn.value / 2) + by * 4))
}
const at = computed(() =>
  cursor.value === undefined || !drawing.value ? undefined : drawing.value.at(cursor.value),
)
const when = computed(() =>
  at.value === undefined
    ? ''
    : new Intl.DateTimeFormat('en-GB', {
        dateStyle: 'medium',
        timeStyle: 'short',
        timeZone: zone.value,
      }).format(at.value * 1000),
)
const under = computed(() =>
  at.value === undefined
    ? []
    : (drawing.value?.lanes ?? []).flatMap((lane) => {
        const point = nearest(lane.points, at.value ?? 0)
        return point ? [{ name: lane.name, unit: lane.unit, text: number(point.v) }] : []
      }),
)
const markNear = computed(() =>
  cursor.value === undefined
    ? undefined
    : drawing.value?.marks.find((mark) => Math.abs(mark.x - (cursor.value ?? 0)) < 4)?.text,
)
const number = (value: number) => figures(value)

/** The drawing by itself, with its colours in it. */
function source(): string {
  const node = svg.value
  if (!node) return ''
  const copy = node.cloneNode(true) as SVGSVGElement
  const live = [...node.querySelectorAll('*')]
  for (const [i, element] of [...copy.querySelectorAll('*')].entries()) {
    const style = getComputedStyle(live[i] as Element)
    element.setAttribute(
      'style',
      ['fill', 'stroke', 'stroke-width', 'opacity', 'font']
        .map((name) => `${name}:${style.getPropertyValue(name)}`)
        .join(';'),
    )
  }
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('style', `background:${getComputedStyle(document.body).backgroundColor}`)
  return new XMLSerializer().serializeToString(copy)
}
function offer(url: string, name: string): void {
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
}
function saveSvg(): void {
  offer(
    URL.createObjectURL(new Blob([source()], { type: 'image/svg+xml' })),
    `${props.system.slug}-score.svg`,
  )
}
function savePng(): void {
  const image = new Image()
  image.onload = () => {
    const canvas = document.createElement('canvas')
    canvas.width = 2 * drawn.value
    canvas.height = 2 * (drawing.value?.height ?? 1)
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    offer(canvas.toDataURL('image/png'), `${props.system.slug}-score.png`)
  }
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source())}`
}
const csv = computed(() => {
  const { from, to } = span.value
  return `/api/systems/${props.system.slug}/book.csv?${new URLSearchParams({ from, to })}`
})
const told = computed(() => {
  const lanes = drawing.value?.lanes.map(
    (lane) => `${lane.name} ${number(lane.low)} to ${number(lane.high)} ${lane.unit ?? ''}`,
  )
  return `${lanes?.join(', ')}. Arrow keys move the cursor.`
})
</script>

<template>
  <section aria-label="Score">
    <div class="bar">
      <label
        >Over
        <select v-model="days" @change="back = 0">
          <option v-for="[value, label] in SPANS" :key="value" :value="value">{{ label }}</option>
        </select></label
      >
      <button type="button" class="link-button" @click="back++">Earlier</button>
      <button type="button" class="link-button" :disabled="back === 0" @click="back--">Later</button>
      <span class="right small">
        <button type="button" class="link-button" @click="savePng">PNG</button>
        <button type="button" class="link-button" @click="saveSvg">SVG</button>
        <a :href="csv" download>CSV</a>
      </span>
    </div>
    <div ref="box" class="box">
      <p v-if="score.isError.value" class="fault" role="alert">{{ score.error.value?.message }}</p>
      <p v-else-if="drawing && !drawing.lanes.length" class="soft">No readings in this period.</p>
      <svg
        v-else-if="drawing"
        ref="svg"
        :viewBox="`0 0 ${drawn} ${drawing.height}`"
        :width="drawn"
        :height="drawing.height"
        tabindex="0"
        role="img"
        :aria-label="told"
        @pointermove="move"
        @pointerleave="cursor = undefined"
        @keydown="key"
      >
        <line
          v-for="mark in drawing.marks"
          :key="`${mark.x} ${mark.text}`"
          :x1="mark.x"
          :x2="mark.x"
          y1="0"
          :y2="drawing.height - 20"
          class="mark"
          :class="mark.kind"
        >
          <title>{{ mark.text }}</title>
        </line>
        <g v-for="lane in drawing.lanes" :key="lane.name">
          <line x1="0" :x2="drawn" :y1="lane.top + STRIP - 1" :y2="lane.top + STRIP - 1" class="rule" />
          <line
            v-for="limit in lane.limits"
            :key="limit"
            x1="0"
            :x2="drawn"
            :y1="limit"
            :y2="limit"
            class="limit"
          />
          <line
            v-for="bar in lane.bars"
            :key="bar.x"
            :x1="bar.x"
            :x2="bar.x"
            :y1="bar.y1"
            :y2="bar.y2"
            class="spread"
          />
          <path :d="lane.d" class="course" />
          <path
            v-for="point in lane.expected"
            :key="point.x"
            :d="`M${point.x - 4} ${point.y}l4 -4l4 4l-4 4z`"
            class="expected"
          >
            <title>
              {{ `expected after the change: ${lane.name} ${number(point.v)} ${lane.unit ?? ''}` }}
            </title>
          </path>
          <text x="6" :y="lane.top + 13" class="name">
            {{ lane.name }}
            <tspan v-if="lane.unit" class="unit">{{ ` ${lane.unit}` }}</tspan>
          </text>
          <text :x="drawn - 6" :y="lane.top + 13" class="end">
            {{ number(lane.low) }} to {{ number(lane.high) }}
          </text>
        </g>
        <text v-for="tick in drawing.ticks" :key="tick.x" :x="tick.x" :y="drawing.height - 6" class="tick">
          {{ tick.label }}
        </text>
        <line
          v-if="cursor !== undefined"
          :x1="cursor"
          :x2="cursor"
          y1="0"
          :y2="drawing.height - 20"
          class="cursor"
        />
      </svg>
    </div>
    <p class="under small" aria-live="polite">
      <template v-if="at !== undefined"
        ><b>{{ when }}</b>
        <span v-for="row in under" :key="row.name"
          >{{ row.name }} <b>{{ row.text }}</b></span
        >
        <span v-if="markNear" class="soft">{{ markNear }}</span></template
      >
      <span v-else class="soft"
        >Bars are what each reading may be; open lozenges what a change should have brought; dotted lines the
        limits; upright lines what happened. Point at it, or use the arrow keys.</span
      >
    </p>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
  align-items: baseline;
  margin-bottom: 0.5rem;
}

.right {
  margin-left: auto;
}

.box {
  overflow: hidden;
}

svg {
  display: block;
  max-width: 100%;
  touch-action: pan-y;
}

.rule {
  stroke: var(--hair);
}

.limit {
  stroke: var(--rust);
  stroke-dasharray: 1 4;
}

.spread {
  stroke: var(--leaf);
  opacity: 0.35;
  stroke-width: 3;
}

.expected {
  fill: var(--paper);
  stroke: var(--leaf);
  stroke-width: 1.5;
}

.course {
  fill: none;
  stroke: var(--water);
  stroke-width: 1.5;
}

.mark {
  stroke: var(--straw);
}

.mark.filter {
  stroke: var(--rust);
}

.cursor {
  stroke: var(--ink);
}

text {
  font-size: 12px;
  fill: var(--ink);
}

.name {
  font-weight: 700;
}

.unit,
.end,
.tick {
  font-weight: 400;
  fill: var(--soft);
}

.end {
  text-anchor: end;
}

.tick {
  text-anchor: middle;
}

.under {
  min-height: 2.6rem;
  margin-top: 0.4rem;
}

.under > span {
  margin-left: 0.75rem;
}
</style>
