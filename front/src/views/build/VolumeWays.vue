<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { computed, reactive, ref } from 'vue'
import { answer, api, Refusal } from '@/api/client'
import { refreshBook, useVolumes } from '@/api/queries'
import type { FieldErrors, System } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'
import { whole, wholeNumber } from '@/units/chosen'

const props = defineProps<{ system: System; writes: boolean }>()
const volumes = useVolumes(() => props.system.slug)
const path = () => ({ path: { system: props.system.slug } })

const METHODS = {
  meter: {
    title: 'By the water meter',
    fields: [
      { key: 'meter_before_l', label: 'Meter before', unit: 'L' },
      { key: 'meter_after_l', label: 'Meter after', unit: 'L' },
      { key: 'already_l', label: 'Already in it', unit: 'L', hint: 'empty is 0' },
      { key: 'elsewhere_l', label: 'Drawn elsewhere in that time', unit: 'L', hint: 'empty is 0' },
      { key: 'error_pct', label: 'Error of the meter', unit: '%', hint: 'empty is 2' },
    ],
  },
  salt: {
    title: 'By salt',
    fields: [
      { key: 'salt_g', label: 'Salt added, weighed', unit: 'g' },
      { key: 'before_g_l', label: 'Salinity before', unit: 'g/L' },
      { key: 'after_g_l', label: 'Salinity after, mixed', unit: 'g/L' },
      { key: 'reading_error_g_l', label: 'Error of each reading', unit: 'g/L', hint: 'empty is 0.02' },
    ],
  },
  known: {
    title: 'A volume you know',
    fields: [
      { key: 'known_l', label: 'Known volume', unit: 'L', hint: 'or with its unit: 2600 gal, 2200 imp gal' },
      { key: 'error_pct', label: 'Known to within', unit: '%', hint: 'empty is 10' },
    ],
  },
} as const
const NAMES = { geometry: 'Geometry', meter: 'Water meter', salt: 'Salt', known: 'Known' }

const method = ref<keyof typeof METHODS | null>(null)
const key = ref(ulid())
const typed = reactive<Record<string, string>>({})

const save = useMutation({
  mutationFn: () =>
    answer(() =>
      api.PUT('/api/systems/{system}/volumes/{id}', {
        params: { path: { system: props.system.slug, id: key.value } },
        body: { method: method.value, ...typed },
      }),
    ),
  onSuccess: async () => {
    await refreshBook()
    method.value = null
  },
})
const choose = useMutation({
  mutationFn: (measure: string | null) =>
    answer(() => api.POST('/api/systems/{system}/volumes/choice', { params: path(), body: { measure } })),
  onSuccess: () => refreshBook(),
})

const errors = computed<FieldErrors>(() =>
  save.error.value instanceof Refusal ? save.error.value.errors : {},
)
const trouble = computed(() => {
  const error = choose.error.value ?? save.error.value
  return error && Object.keys(errors.value).length === 0
    ? error instanceof Refusal
      ? (error.errors.measure ?? error.message)
      : error.message
    : null
})

function start(which: keyof typeof METHODS): void {
  for (const k of Object.keys(typed)) delete typed[k]
  key.value = ulid()
  save.reset()
  method.value = which
}
</script>

<template>
  <section class="ways" aria-label="Volume, four ways">
    <div class="head">
      <h2>Volume, four ways</h2>
      <span v-if="volumes.data.value?.chosen" class="soft small">{{ volumes.data.value.chosen }}</span>
    </div>
    <p v-if="volumes.isError.value" class="fault">{{ volumes.error.value?.message }}</p>
    <ul>
      <li
        v-for="way in volumes.data.value?.ways ?? []"
        :key="way.id ?? 'geometry'"
        class="way"
        :class="{ used: way.in_use }"
      >
        <b>{{ NAMES[way.method] }}</b>
        <FigureButton :figure="way.figure" />
        <span class="soft small">
          <template v-if="way.low_l !== null && way.high_l !== null"
            >{{ wholeNumber(way.low_l, 'L') }} to {{ whole(way.high_l, 'L') }} · </template
          >{{ way.in_gallons
          }}<template v-if="way.age">
            · {{ way.age }}<template v-if="way.by">, {{ way.by }}</template></template
          >
        </span>
        <span v-if="way.in_use" class="use">doses go by this</span>
        <button
          v-else-if="writes"
          type="button"
          class="link-button small"
          :disabled="choose.isPending.value"
          @click="choose.mutate(way.id)"
        >
          Go by this
        </button>
      </li>
    </ul>
    <p v-for="dose in volumes.data.value?.on_another ?? []" :key="dose" class="caution">{{ dose }}</p>
    <p
      v-for="comparison in volumes.data.value?.compared ?? []"
      :key="comparison.text"
      class="compared"
      :class="{ mixed: comparison.mix_up }"
    >
      {{ comparison.text }}
    </p>
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>

    <form v-if="method" novalidate class="measure" @submit.prevent="save.mutate()">
      <h3>{{ METHODS[method].title }}</h3>
      <div class="fields">
        <TypedField
          v-for="field in METHODS[method].fields"
          :key="field.key"
          :model-value="typed[field.key] ?? ''"
          :label="field.label"
          :unit="field.unit"
          :hint="'hint' in field ? field.hint : undefined"
          :error="errors[field.key]"
          @update:model-value="typed[field.key] = $event"
        />
      </div>
      <p v-if="method === 'salt'" class="soft small">
        Only without zeolite in the system, and without plants that suffer: salt makes zeolite release its
        ammonia. Wait until all of it is dissolved and mixed.
      </p>
      <div class="buttons">
        <NButton type="primary" attr-type="submit" :loading="save.isPending.value"
          >Keep this measurement</NButton
        >
        <button type="button" class="link-button" @click="method = null">Cancel</button>
      </div>
    </form>
    <p v-else-if="writes" class="starts">
      <button type="button" class="link-button" @click="start('meter')">Measure by the water meter</button>
      <button type="button" class="link-button" @click="start('salt')">Measure by salt</button>
      <button type="button" class="link-button" @click="start('known')">Enter a volume you know</button>
    </p>
  </section>
</template>

<style scoped>
.ways {
  margin-bottom: 2.25rem;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 1rem;
  padding-bottom: 0.35rem;
  border-bottom: 1px solid var(--soft);
}

.way {
  display: grid;
  grid-template-columns: 11rem 7rem minmax(0, 1fr) auto;
  gap: 0 1rem;
  align-items: baseline;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.way > :nth-child(2) {
  justify-self: start;
}

.use {
  font-weight: 700;
  color: var(--leaf);
}

.compared {
  margin-top: 0.5rem;
}

.mixed {
  color: var(--rust-ink);
  font-weight: 700;
}

.starts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.5rem;
  margin-top: 0.25rem;
}

.measure {
  padding: 1rem 0 1.25rem 1rem;
  border-left: 3px solid var(--straw);
  margin: 0.5rem 0;
}

h3 {
  font-size: 1rem;
  margin-bottom: 0.6rem;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr));
  gap: 0.9rem 1.5rem;
  margin-bottom: 0.75rem;
}

.buttons {
  display: flex;
  align-items: center;
  gap: 1.5rem;
  margin-top: 0.75rem;
}

@media (max-width: 720px) {
  .way {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
