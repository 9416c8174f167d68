<script setup lang="ts">
import { useDebounce, useLocalStorage } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { useRoute } from 'vue-router'
import { computed, nextTick, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { useCourses, useDose, useSession, useSources } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TodayHere from '@/parts/answer/TodayHere.vue'
import { type Step, useToday } from '@/parts/answer/useToday'
import BenchAnswer from '@/parts/BenchAnswer.vue'
import BenchFields from '@/parts/BenchFields.vue'
import DoneAnyway from '@/parts/DoneAnyway.vue'
import FormField from '@/parts/FormField.vue'
import TypedField from '@/parts/TypedField.vue'
import { figures } from '@/units/number'
import DoseSheet from './DoseSheet.vue'
import DosesGiven from './DosesGiven.vue'
import { whole } from '@/units/chosen'

const props = defineProps<{ system: System }>()
/** What the readings ask for of doses, and what courses have due. */
const today = useToday(() => props.system.slug, ['dose', 'course'])
const courses = useCourses(() => props.system.slug)
const due = computed(() =>
  (courses.data.value?.courses ?? []).filter(
    (course) => !course.ended && course.doses.some((dose) => ['due', 'late', 'missed'].includes(dose.state)),
  ),
)
const session = useSession()
const sources = useSources()
const writes = computed(() => session.data.value?.person?.writes ?? false)

/** What another page has filled in: the thing, and what stands in its fields. */
const { thing: named, ...filled } = useRoute().query
const thing = ref(String(named ?? ''))
const body = ref('')
const purpose = ref('')
const stock = ref('')
const scale = useLocalStorage('scale-g', '')
const typed = ref<Record<string, string>>(
  Object.fromEntries(Object.entries(filled).map(([key, text]) => [key, String(text ?? '')])),
)
function fillOf(step: Step | undefined): Record<string, string> {
  return Object.fromEntries(Object.entries(step?.fill ?? {}).filter(([key]) => key !== 'thing'))
}
const met = ref<string[]>([])
const reason = ref('')
watch(thing, (chosen) => {
  // What Trouble asks for of it today is filled in: the amount is the same on both pages.
  typed.value = fillOf(today.steps.value.find((step) => step.fill.thing === chosen))
  met.value = []
  reason.value = ''
  stock.value = ''
  already.value = { amount: '', at: '' }
  give.reset()
})
const asked = useDebounce(
  computed(() =>
    Object.fromEntries(
      Object.entries({
        ...typed.value,
        thing: thing.value,
        body: body.value,
        stock_l: stock.value,
        scale_g: scale.value,
      }).filter(([, text]) => text.trim() !== ''),
    ),
  ),
  250,
)
const dose = useDose(() => props.system.slug, asked)
const page = computed(() => dose.data.value)
const found = computed(() => (page.value?.thing?.id === thing.value ? page.value.thing : null))
const purposes = computed(() => [...new Set(page.value?.things.flatMap((row) => row.purposes) ?? [])].sort())
const groups = computed(() => {
  const rows =
    page.value?.things.filter((row) => !purpose.value || row.purposes.includes(purpose.value)) ?? []
  return [...new Set(rows.map((row) => row.group))].map(
    (group) => [group, rows.filter((row) => row.group === group)] as const,
  )
})
const untested = computed(() => page.value?.state.filter((row) => row.stale) ?? [])
async function fill(step: Step): Promise<void> {
  thing.value = step.fill.thing ?? ''
  await nextTick()
  typed.value = fillOf(step)
}
const unmet = computed(() => found.value?.conditions.filter(({ code }) => !met.value.includes(code)) ?? [])
const already = ref({ amount: '', at: '' })

const give = useSend(
  (as: { course?: boolean; done?: boolean; again?: boolean }, id) =>
    answer(() =>
      api.PUT('/api/systems/{system}/doses/{id}', {
        params: { path: { system: props.system.slug, id } },
        body: {
          ...typed.value,
          thing: thing.value,
          body: body.value,
          scale_g: scale.value,
          met: met.value,
          reason: reason.value,
          course: as.course ? 'yes' : 'no',
          done: as.done ? 'yes' : 'no',
          again: as.again ? 'yes' : 'no',
          ...(as.done
            ? {
                given_amount: already.value.amount,
                given_unit: found.value?.unit_given,
                given_at: already.value.at,
              }
            : {}),
        },
      }),
    ),
  () => (thing.value = ''),
)
const last = ref<{ course?: boolean; done?: boolean }>({})
const send = (as: { course?: boolean; done?: boolean }) => {
  last.value = as
  give.send(as)
}
const day = (value: number) => figures(value, 2)
const print = () => window.print()
</script>

<template>
  <p v-if="dose.isError.value" class="fault" role="alert">{{ dose.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <TodayHere
      class="no-print"
      :slug="system.slug"
      :steps="today.steps.value"
      :causes="today.causes.value"
      :fault="today.fault.value"
      @fill="fill"
    >
      <p v-if="!due.length && today.ready.value && courses.data.value" class="deed">
        No dose is due: no course is running, and no reading asks for one.
      </p>
      <template #besides>
        <p v-for="course in due" :key="course.id" class="deed">
          {{ course.name }}: {{ course.says }}
          <RouterLink class="small" :to="{ name: 'course', params: { system: system.slug } }"
            >Course</RouterLink
          >
        </p>
        <p v-if="untested.length" class="fault">
          Test before you dose: {{ untested.map((row) => row.label).join(', ') }}.
          <RouterLink class="small" :to="{ name: 'test', params: { system: system.slug } }">Test</RouterLink>
        </p>
      </template>
    </TodayHere>
    <div class="fields no-print">
      <FormField v-slot="{ id }" label="Purpose"
        ><select :id="id" v-model="purpose" class="choice">
          <option value="">anything</option>
          <option v-for="row in purposes" :key="row" :value="row">{{ row }}</option>
        </select></FormField
      >
      <FormField v-slot="{ id }" class="wide" label="Treatment" :error="give.errors.value.thing"
        ><select :id="id" v-model="thing" class="choice">
          <option value="">choose</option>
          <optgroup v-for="[group, rows] in groups" :key="group" :label="group">
            <option v-for="row in rows" :key="row.id" :value="row.id">{{ row.name }}</option>
          </optgroup>
        </select></FormField
      >
      <FormField v-if="page.bodies.length > 1" v-slot="{ id }" label="Into" :error="give.errors.value.body"
        ><select :id="id" v-model="body" class="choice">
          <option v-for="row in page.bodies" :key="row.id" :value="row.id">
            {{ row.name }}, {{ whole(row.litres, 'L') }}
          </option>
        </select></FormField
      >
    </div>
    <section v-if="found" class="part no-print" :aria-label="found.name">
      <h2>{{ found.name }}</h2>
      <p v-if="found.basis" class="soft small">
        Counted as {{ found.basis }}.
        {{ sources.data.value?.find((row) => row.id === found?.about?.source)?.citation }}
      </p>
      <template v-if="found.refusals.length">
        <p v-for="refusal in found.refusals" :key="refusal.code" class="refused" role="alert">
          <b>Not now.</b> {{ refusal.text }}
        </p>
        <p v-if="found.later" class="later">{{ found.later }}</p>
      </template>
      <form novalidate @submit.prevent="send({})">
        <BenchFields v-model="typed" :bench="found.bench" />
        <template v-if="!found.refusals.length">
          <fieldset v-if="found.conditions.length" class="conditions">
            <legend>Do this before it goes in</legend>
            <label v-for="condition in found.conditions" :key="condition.code"
              ><input v-model="met" type="checkbox" :value="condition.code" /> {{ condition.text }}</label
            >
          </fieldset>
          <BenchAnswer :bench="found.bench" :measure="found.measure" />
          <template v-if="found.amount !== null">
            <p class="soft small">{{ found.rounding }}, to the step of a scale or cup.</p>
            <p v-if="found.shelf">
              From <b>{{ found.shelf.name }}</b><span v-if="found.shelf.mark" class="soft"
                >, {{ found.shelf.mark }}</span
              >. <span :class="{ fault: found.shelf.short }">{{ found.shelf.says }}</span>
            </p>
            <p v-else class="soft small">
              It is not on <RouterLink to="/shelf">the shelf</RouterLink>, so stock is not counted.
            </p>
            <p v-if="found.split.length">
              By bay:
              <template v-for="(row, i) in found.split" :key="row.name"
                ><template v-if="i">, </template>{{ row.name }} <b>{{ row.text }}</b></template
              >
            </p>
            <p v-if="found.wash_out && found.way === 'prolonged'">{{ found.wash_out }}</p>
            <div class="fields">
              <TypedField v-model="stock" label="Stock solution, made up in" unit="L" /><TypedField
                v-if="found.unit === 'g'"
                v-model="scale"
                label="Your scale reads to"
                unit="g"
              />
            </div>
            <p v-if="found.stock">
              <b>{{ found.stock }}</b>
            </p>
            <ol class="order">
              <li v-for="step in found.order" :key="step">{{ step }}</li>
            </ol>
            <template v-if="writes">
              <div v-if="unmet.length" class="fields">
                <TypedField
                  v-model="reason"
                  label="or say why you give it all the same"
                  words
                  :error="give.errors.value.reason"
                />
              </div>
              <div class="fields">
                <NButton
                  v-if="found.course && found.course.repeats > 1"
                  type="primary"
                  :loading="give.pending.value"
                  @click="send({ course: true })"
                  >Start the course: {{ found.course.repeats }} doses, one every
                  {{ day(found.course.every_d) }} days</NButton
                >
                <NButton
                  attr-type="submit"
                  :type="found.course && found.course.repeats > 1 ? 'default' : 'primary'"
                  :loading="give.pending.value"
                  >{{
                    found.minutes !== null
                      ? `Start the clock: ${found.minutes} min bath`
                      : found.course && found.course.repeats > 1
                        ? 'Give it once'
                        : `Give ${found.measure ?? 'it'}`
                  }}</NButton
                >
                <NButton @click="print">Print the sheet</NButton>
              </div>
            </template>
          </template>
          <p v-if="give.trouble.value ?? give.errors.value.course" class="fault" role="alert">
            {{ give.trouble.value ?? give.errors.value.course }}
          </p>
        </template>
      </form>
      <DoneAnyway
        :errors="give.errors.value"
        again="This was given as well"
        @again="give.send({ ...last, again: true })"
      />
      <details v-if="writes" class="already">
        <summary>Already given? Book it as a fact</summary>
        <p class="soft small">
          What is in the water counts, whatever speaks against it. Book it, and the state of the system
          follows.
        </p>
        <div class="fields">
          <TypedField
            v-model="already.amount"
            label="Amount given"
            :unit="found.unit_given"
            :error="give.errors.value.given_amount"
          />
          <FormField
            v-slot="{ id }"
            class="wide"
            label="When (now, if left empty)"
            :error="give.errors.value.given_at"
            ><input :id="id" v-model="already.at" class="inline" type="datetime-local"
          /></FormField>
          <NButton :loading="give.pending.value" @click="send({ done: true })">Book it as given</NButton>
        </div>
      </details>
      <dl v-if="found.about" class="about small">
        <template v-for="row in found.about.hazards" :key="row.to"
          ><dt>{{ row.to }}</dt>
          <dd>{{ row.says }}</dd></template
        >
        <dt>Stop</dt>
        <dd>{{ found.about.stop }}</dd>
        <dt>Disposal</dt>
        <dd>{{ found.about.disposal }}</dd>
        <dt>Storage</dt>
        <dd>{{ found.about.storage }}</dd>
      </dl>
    </section>
    <DoseSheet
      v-if="found && found.amount !== null && !found.refusals.length"
      :system="system"
      :found="found"
    />

    <section class="part no-print" aria-label="What doses go by">
      <h2>What doses go by</h2>
      <ul class="state" aria-label="The water as it is known">
        <li v-for="row in page.state" :key="`${row.key} ${row.text}`">
          <span class="soft small">{{ row.label }}</span> <b>{{ row.text }}</b>
          <span class="small" :class="row.stale ? 'fault' : 'soft'">{{
            row.stale ? `${row.from || ''} Test it before dosing` : row.from
          }}</span>
        </li>
      </ul>
    </section>

    <DosesGiven :system="system" :page="page" :writes="writes" />
    <details class="part no-print">
      <summary>Treatments not offered, and why</summary>
      <ul class="rows">
        <li v-for="row in page.not_offered" :key="row.name">
          <b>{{ row.name }}</b> {{ row.why }}
        </li>
      </ul>
    </details>
  </template>
</template>

<style scoped>
.fields > .wide {
  width: 20rem;
  max-width: 100%;
}

.state {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 1.5rem;
  margin: 0.75rem 0;
}

.refused {
  padding: 0.7rem 1rem;
  margin: 0.6rem 0;
  border-left: 8px solid var(--rust);
  font-size: 1.15rem;
}

.later {
  padding-left: 1rem;
  font-size: 1.15rem;
}

.order {
  padding-left: 1.5rem;
  margin: 0.6rem 0;
  list-style: decimal;
}

.about {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 0.3rem 1rem;
  margin-top: 1rem;
}

.about dt {
  color: var(--soft);
}
</style>
