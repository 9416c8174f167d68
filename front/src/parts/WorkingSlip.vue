<script setup lang="ts">
import { NInput } from 'naive-ui'
import { computed, nextTick, reactive, ref, useTemplateRef, watch } from 'vue'
import { useCalculators, useSources, useWorking } from '@/api/queries'
import type { Figure } from '@/api/types'
import { closeSlip, openFigure, openSlip } from '@/state/slip'
import { quantity, shownUnit } from '@/units/chosen'

const props = defineProps<{ figure: Figure }>()

const typed = reactive<Record<string, string>>({})
const trail = ref<Figure[]>([])
const head = useTemplateRef('head')

watch(
  () => props.figure,
  async () => {
    for (const key of Object.keys(typed)) delete typed[key]
    await nextTick()
    head.value?.focus()
  },
  { immediate: true },
)

const read = (text: string) => Number(text.trim().replace(',', '.'))
const replaced = computed(() =>
  Object.fromEntries(
    Object.entries(typed)
      .filter(([, text]) => text.trim() !== '' && Number.isFinite(read(text)))
      .map(([key, text]) => [key, read(text)]),
  ),
)
const unreadable = (key: string) =>
  (typed[key]?.trim() ?? '') !== '' && !Number.isFinite(read(typed[key] ?? ''))

const working = useWorking(() => props.figure, replaced)
const sources = useSources()
const calculators = useCalculators()

const unitOf = (key: string) =>
  calculators.data.value?.find((c) => c.name === props.figure.calc)?.inputs.find((i) => i.key === key)
    ?.unit ?? ''
const citations = computed(() =>
  (working.data.value?.sources ?? []).flatMap(
    (id) => sources.data.value?.find((source) => source.id === id) ?? [],
  ),
)
const changed = computed(() => {
  const key = props.figure.key
  const value =
    key === null || Object.keys(replaced.value).length === 0 ? undefined : working.data.value?.figures[key]
  return typeof value === 'number' && !working.isError.value
    ? quantity(value, props.figure.value_unit ?? props.figure.unit ?? '').trim()
    : null
})

/** Assumptions may be replaced here and now, in the unit the calculation takes. */
const replaceable = (key: string) => typeof props.figure.input[key] === 'number'

function openPart(part: Figure): void {
  trail.value.push(props.figure)
  openSlip(part)
}

function back(): void {
  const before = trail.value.pop()
  if (before) openFigure.value = before
}
</script>

<template>
  <aside class="slip" aria-label="Working" @keydown.esc.stop="closeSlip">
    <div class="bar">
      <button v-if="trail.length" type="button" class="link-button" @click="back">
        Back to {{ trail[trail.length - 1]?.label.toLowerCase() }}
      </button>
      <button type="button" class="link-button close" @click="closeSlip">Close</button>
    </div>
    <h2 ref="head" tabindex="-1">{{ figure.label }}</h2>
    <p class="value">
      {{ figure.text }} <span class="soft unit">{{ figure.unit }}</span>
    </p>
    <p v-if="changed !== null" class="changed" role="status">
      With what you typed: <b>{{ changed }}</b>
    </p>
    <p v-if="shownUnit(figure.value_unit)" class="soft small">
      Worked out in litres, °C and grams; the answer is in the units you chose.
    </p>
    <p v-if="figure.say" class="say">{{ figure.say }}</p>

    <template v-if="figure.parts.length">
      <h3>Parts</h3>
      <ul class="parts">
        <li v-for="part in figure.parts" :key="part.label">
          <button type="button" class="plain-button part" @click="openPart(part)">
            <span>{{ part.label }}</span><b
              >{{ part.text }} <span class="soft small">{{ part.unit }}</span></b
            >
          </button>
        </li>
      </ul>
    </template>

    <template v-if="figure.origins.length">
      <h3>Inputs</h3>
      <dl class="origins">
        <template v-for="origin in figure.origins" :key="origin.key">
          <dt>{{ origin.label }}</dt>
          <dd>
            <b>{{ origin.text }}</b>
            <span class="small" :class="origin.kind === 'assumed' ? 'assumed' : 'soft'">{{
              origin.from
            }}</span>
            <label v-if="origin.kind === 'assumed' && replaceable(origin.key)" class="replace small">
              Put in another, {{ unitOf(origin.key) }}
              <NInput
                v-model:value="typed[origin.key]"
                size="small"
                inputmode="decimal"
                placeholder=""
                :status="unreadable(origin.key) ? 'error' : undefined"
              />
              <span v-if="unreadable(origin.key)" class="fault">This is not a number.</span>
            </label>
          </dd>
        </template>
      </dl>
    </template>

    <template v-if="figure.calc">
      <p v-if="working.isPending.value" class="soft">Working it out …</p>
      <div v-else-if="working.isError.value" class="fault" role="alert">
        <p>{{ working.error.value?.message }}</p>
        <p
          v-for="(message, key) in (working.error.value as { errors?: Record<string, string> }).errors"
          :key="key"
        >
          {{ message }}
        </p>
      </div>
      <template v-if="working.data.value">
        <h3>Working</h3>
        <ol class="steps">
          <li v-for="(step, i) in working.data.value.working" :key="i">
            <p>{{ step.say }}</p>
            <p class="formula">{{ step.formula }}</p>
            <p class="small soft">{{ step.with }}</p>
            <p class="gives">= {{ step.gives }}</p>
          </li>
        </ol>
        <ul v-if="working.data.value.cautions.length" class="cautions">
          <li
            v-for="caution in working.data.value.cautions"
            :key="caution.text"
            class="small"
            :class="caution.level"
          >
            {{ caution.text }}
          </li>
        </ul>
        <h3>Sources</h3>
        <ul class="sources">
          <li v-for="source in citations" :key="source.id" class="small">
            {{ source.citation }} <span class="soft">({{ source.kind }})</span>
          </li>
        </ul>
      </template>
    </template>
  </aside>
</template>

<style scoped>
.slip {
  padding: 1rem 1.25rem 3rem;
  background: var(--sheet);
  border-left: 1px solid var(--hair);
  overflow-y: auto;
  overflow-wrap: anywhere;
}

.bar {
  display: flex;
  justify-content: space-between;
}

.close {
  margin-left: auto;
}

h2:focus {
  outline: none;
}

h3 {
  margin: 1.4rem 0 0.3rem;
  font-size: 0.875rem;
  font-weight: 400;
  color: var(--soft);
}

.value {
  font-size: 2.25rem;
  font-weight: 700;
  line-height: 1.15;
}

.unit {
  font-size: 1rem;
  font-weight: 400;
}

.changed {
  margin: 0.5rem 0;
  padding-left: 0.75rem;
  border-left: 3px solid var(--straw);
}

.say {
  margin-top: 0.5rem;
}

.part {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.part:hover {
  color: var(--water);
}

.origins dt {
  padding-top: 0.45rem;
  border-top: 1px solid var(--hair);
}

.origins dd {
  padding-bottom: 0.45rem;
}

.origins dd > b {
  margin-right: 0.6rem;
}

.assumed {
  color: var(--straw-ink);
}

.replace {
  display: block;
  margin-top: 0.3rem;
  max-width: 12rem;
}

.steps li {
  padding: 0.6rem 0;
  border-top: 1px solid var(--hair);
}

.formula {
  font-style: italic;
}

.gives {
  font-weight: 700;
}

.cautions li {
  margin-top: 0.5rem;
  padding-left: 0.75rem;
  border-left: 3px solid var(--hair);
}

.cautions .watch {
  border-left-color: var(--straw);
}

.cautions .danger {
  border-left-color: var(--rust);
  font-weight: 700;
}

.sources li {
  padding: 0.25rem 0;
}
</style>
