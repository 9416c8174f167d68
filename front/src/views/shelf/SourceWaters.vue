<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useVocabulary } from '@/api/queries'
import type { Shelf } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { day } from '@/units/time'

defineProps<{ shelf: Shelf; writes: boolean }>()
const vocabulary = useVocabulary()
const KINDS: Record<string, string> = {
  tap: 'tap',
  well: 'well or borehole',
  rain: 'rain',
  ro: 'reverse osmosis',
  blend: 'a blend',
}
const CAUTIONS: Record<string, string> = {
  rain: 'Rain has next to no KH and GH, and carries what lies on the roof: blend it or rebuild it with minerals.',
  ro: 'Reverse-osmosis water has no minerals: rebuild KH and GH before fish meet it.',
}

const adding = ref(false)
const EMPTY = { name: '', kind: 'tap', unit_name: '', unit_carbon_l: '', softened: 'no' }
const water = reactive({ ...EMPTY })
/** The water that is described anew; empty for a new one. */
const described = ref('')
const add = useSend(
  (_, key) =>
    answer(() =>
      api.PUT('/api/waters/{id}', {
        params: { path: { id: described.value || key } },
        body: { ...water },
      }),
    ),
  () => {
    adding.value = false
    Object.assign(water, EMPTY)
  },
)
function describe(row?: Shelf['waters'][number]): void {
  described.value = row?.id ?? ''
  Object.assign(
    water,
    row === undefined
      ? EMPTY
      : {
          name: row.name,
          kind: row.kind,
          unit_name: row.unit_name ?? '',
          unit_carbon_l: row.unit_carbon_l === null ? '' : String(row.unit_carbon_l),
          softened: row.softened ? 'yes' : 'no',
        },
  )
  adding.value = true
}
const testing = ref<string>()
const test = reactive({
  side: 'raw',
  tested_on: '',
  chloramine: 'no',
  readings: {} as Record<string, { typed: string; unit: string | null }>,
})
const parameters = computed(() =>
  (vocabulary.data.value?.parameters ?? []).filter((row) =>
    ['tan_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'alkalinity_mg_l', 'hardness_mg_l', 'chlorine_mg_l'].includes(
      row.id,
    ),
  ),
)
function begin(id: string): void {
  testing.value = id
  Object.assign(test, {
    side: 'raw',
    tested_on: '',
    chloramine: 'no',
    readings: Object.fromEntries(
      parameters.value.map((row) => [row.id, { typed: '', unit: row.units[0]?.id ?? null }]),
    ),
  })
}
const book = useSend(
  (_, key) =>
    answer(() =>
      api.PUT('/api/waters/{water}/tests/{id}', {
        params: { path: { water: testing.value ?? '', id: key } },
        body: { ...test },
      }),
    ),
  () => (testing.value = undefined),
)
</script>

<template>
  <section class="part" aria-label="Source waters">
    <h2>Source waters</h2>
    <p class="soft small">
      Water changes bring your systems towards these: nitrate cannot go below theirs. Test before your own
      treatment unit and behind it; some pass nitrate unchanged.
    </p>
    <ul class="rows">
      <li v-for="row in shelf.waters" :key="row.id">
        <div class="whole line">
          <b>{{ row.name }}</b>
          <span class="soft"
            >{{ KINDS[row.kind] }}<template v-if="row.unit_name">, behind {{ row.unit_name }}</template
            ><template v-if="row.softened">, softened</template></span
          >
          <button
            v-if="writes"
            type="button"
            class="link-button small"
            :aria-label="`Test ${row.name}`"
            @click="begin(row.id)"
          >
            Test it
          </button>
          <button
            v-if="writes"
            type="button"
            class="link-button small"
            :aria-label="`Change ${row.name}`"
            @click="describe(row)"
          >
            Change
          </button>
        </div>
        <p v-if="CAUTIONS[row.kind]" class="whole small">{{ CAUTIONS[row.kind] }}</p>
        <p v-for="done in row.tests.slice(0, 4)" :key="done.id" class="whole small">
          <span class="soft"
            >{{ day(done.on) }}, {{ done.side === 'treated' ? 'treated' : 'as it comes' }}:</span
          >
          <template v-for="(reading, i) in done.readings" :key="reading.parameter"
            ><template v-if="i">, </template>{{ reading.name }} <b>{{ reading.reads }}</b></template
          ><template v-if="done.chloramine">, chloramine</template>
        </p>
        <form v-if="testing === row.id" class="editor" novalidate @submit.prevent="book.send(undefined)">
          <PickField
            v-if="row.unit_name"
            label="Taken"
            v-model="test.side"
            :choices="[
              { value: 'raw', label: 'as it comes' },
              { value: 'treated', label: `behind ${row.unit_name}` },
            ]"
          />
          <TypedField
            v-for="parameter in parameters"
            :key="parameter.id"
            v-model="test.readings[parameter.id]!.typed"
            :label="parameter.name"
            :unit="parameter.symbol"
            :error="book.errors.value[`readings.${parameter.id}`]"
          />
          <PickField
            label="Chlorine is"
            v-model="test.chloramine"
            :choices="[
              { value: 'no', label: 'free chlorine, or none' },
              { value: 'yes', label: 'chloramine' },
            ]"
          />
          <TypedField
            v-model="test.tested_on"
            label="On"
            day
            hint="empty is today"
            :error="book.errors.value.tested_on"
          />
          <div class="whole">
            <NButton type="primary" attr-type="submit" :loading="book.pending.value">Book the test</NButton>
          </div>
          <p v-if="book.errors.value.readings ?? book.trouble.value" class="fault whole" role="alert">
            {{ book.errors.value.readings ?? book.trouble.value }}
          </p>
        </form>
      </li>
    </ul>
    <form v-if="adding" class="editor" novalidate @submit.prevent="add.send(undefined)">
      <TypedField v-model="water.name" label="Name" words :error="add.errors.value.name" />
      <PickField
        label="Kind"
        v-model="water.kind"
        :choices="Object.entries(KINDS).map(([value, label]) => ({ value, label }))"
      />
      <TypedField
        v-model="water.unit_name"
        label="Your treatment unit"
        words
        hint="carbon, softener; empty: none"
        :error="add.errors.value.unit_name"
      />
      <TypedField
        v-if="water.unit_name"
        v-model="water.unit_carbon_l"
        label="Carbon in it"
        unit="L"
        hint="empty: no carbon"
        :error="add.errors.value.unit_carbon_l"
      />
      <PickField
        label="Softener"
        v-model="water.softened"
        :choices="[
          { value: 'no', label: 'no' },
          { value: 'yes', label: 'yes: GH out, KH stays' },
        ]"
      />
      <div class="whole">
        <NButton type="primary" attr-type="submit" :loading="add.pending.value">{{
          described ? 'Keep it' : 'Add it'
        }}</NButton>
      </div>
    </form>
    <button v-else-if="writes" type="button" class="link-button" @click="describe()">
      Add a source water
    </button>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 1rem;
  align-items: baseline;
}

.line .link-button:first-of-type {
  margin-left: auto;
}
</style>
