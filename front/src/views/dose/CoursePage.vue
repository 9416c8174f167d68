<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { answer, api } from '@/api/client'
import { useCourses, useSession } from '@/api/queries'
import type { CoursePage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TodayHere from '@/parts/answer/TodayHere.vue'
import TypedField from '@/parts/TypedField.vue'
import { date } from '@/units/time'
import { figures } from '@/units/number'
import ChargeList from './ChargeList.vue'
import ResidualCurve from './ResidualCurve.vue'
import { quantity } from '@/units/chosen'

const props = defineProps<{ system: System }>()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const courses = useCourses(() => props.system.slug)
const page = computed(() => courses.data.value)
type Course = CoursePage['courses'][number]
/** What is to be done about a charge that hangs in the loop. */
const charged = computed(
  () =>
    page.value?.charges.flatMap((charge) =>
      charge.cautions
        .filter((caution) => caution.level !== 'note')
        .map((caution) => ({ level: caution.level, text: `${charge.text}: ${caution.text}` })),
    ) ?? [],
)
const running = computed(() => page.value?.courses.filter((course) => !course.ended) ?? [])

const form = reactive<Record<string, { reason: string; why: string; met: string[] }>>({})
const of = (course: Course) => (form[course.id] ??= { reason: '', why: '', met: [] })
const path = (course: string) => ({ params: { path: { system: props.system.slug, course } } })
const carry = useSend(
  (to: { course: Course; top_up: boolean }, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/courses/{course}/doses/{id}', {
        params: { path: { system: props.system.slug, course: to.course.id, id: key } },
        body: { top_up: to.top_up ? 'yes' : 'no', reason: of(to.course).reason, met: of(to.course).met },
      }),
    ),
  undefined,
  // The next dose of a course is another than the one whose answer was lost.
  ({ course, top_up }) =>
    `${course.id} ${course.doses.filter((dose) => dose.state === 'given').length} ${top_up}`,
)
const end = useSend((course: Course) =>
  answer(() =>
    api.PUT('/api/systems/{system}/courses/{course}/end', {
      ...path(course.id),
      body: { reason: of(course).why },
    }),
  ),
)
const after = useSend((to: { course: string; step: string }) =>
  answer(() =>
    api.PUT('/api/systems/{system}/courses/{course}/after/{step}', {
      params: { path: { system: props.system.slug, course: to.course, step: to.step } },
    }),
  ),
)
const STATES: Record<string, string> = {
  given: 'given',
  due: 'due now',
  late: 'late',
  missed: 'missed',
  to_come: 'to come',
}
const day = (value: number) => figures(value, 2)
</script>

<template>
  <p v-if="courses.isError.value" class="fault" role="alert">{{ courses.error.value?.message }}</p>
  <p v-else-if="!page" class="soft">Opening …</p>
  <template v-else>
    <TodayHere :slug="system.slug" :steps="[]" :causes="[]">
      <p v-for="course in running" :key="course.id" class="deed">
        {{ course.name }}: {{ course.says
        }}<template v-if="course.top_up && course.doses.some((dose) => dose.state === 'due')">
          Give <b>{{ course.top_up }}</b>.</template
        >
      </p>
      <p v-if="!running.length" class="deed">
        No course is running here. Start one on
        <RouterLink :to="{ name: 'dose', params: { system: system.slug } }">Dose</RouterLink>.
      </p>
      <p v-for="one in charged" :key="one.text" :class="{ fault: one.level === 'danger' }">{{ one.text }}</p>
    </TodayHere>
    <section
      v-for="course in page.courses"
      :key="course.id"
      class="part"
      :aria-label="`${course.name}, ${course.ended ? 'ended' : 'running'}`"
    >
      <h2>
        {{ course.name }}<template v-if="course.where"> in {{ course.where }}</template>
        <span class="soft small"
          >{{ course.level }}, begun {{ course.began
          }}{{ course.ended ? `, ended ${course.ended}: ${course.end_reason}` : '' }}</span
        >
      </h2>
      <p v-if="!course.ended" class="says" :class="{ fault: course.broken }">{{ course.says }}</p>
      <ul class="rows">
        <li v-for="dose in course.doses" :key="dose.n">
          <span class="soft">Dose {{ dose.n }}</span> <b>{{ date(dose.on) }}</b>
          <span :class="{ fault: ['late', 'missed'].includes(dose.state) }">{{ STATES[dose.state] }}</span>
        </li>
      </ul>
      <p v-if="!course.ended" class="soft small">
        Every {{ day(course.every_d) }} days at {{ quantity(page.temp_c, '°C')
        }}{{ page.temp_assumed ? ', assumed' : '' }}: the days move with the temperature.
      </p>
      <ResidualCurve v-if="course.curve.length" :course="course" />
      <template v-if="!course.ended">
        <p>
          Left in the water: <b>{{ course.left }}</b>, by decay, changes, trickle and what adsorbs it, in the
          book.<template v-if="course.top_up">
            To stand at its level again: <b class="top">{{ course.top_up }}</b>.</template
          >
        </p>
        <p v-if="course.shelf">{{ course.shelf }}</p>
        <p v-if="course.adsorbed" class="caution">{{ course.adsorbed }}</p>
        <p>{{ course.daily }} <b>Stop:</b> {{ course.stop }}</p>
        <p v-for="refusal in course.refusals" :key="refusal.code" class="caution danger">
          No further dose now: {{ refusal.text }}
        </p>
        <fieldset v-if="writes && course.conditions.length" class="conditions">
          <legend>Before another goes in</legend>
          <label v-for="condition in course.conditions" :key="condition.code"
            ><input v-model="of(course).met" type="checkbox" :value="condition.code" />
            {{ condition.text }}</label
          >
        </fieldset>
        <form v-if="writes" class="fields" novalidate @submit.prevent="end.send(course)">
          <NButton
            v-if="!course.complete && !course.broken"
            type="primary"
            :loading="carry.pending.value"
            @click="carry.send({ course, top_up: false })"
            >Dose {{ course.doses.find((dose) => dose.state !== 'given')?.n }} is in{{
              course.top_up ? `: ${course.top_up}` : ''
            }}</NButton
          >
          <NButton
            v-if="course.top_up"
            :loading="carry.pending.value"
            @click="carry.send({ course, top_up: true })"
            >Give only the top-up</NButton
          >
          <TypedField
            v-if="carry.errors.value.reason"
            v-model="of(course).reason"
            label="Reason to give it anyway"
            words
            :error="carry.errors.value.reason"
          />
          <TypedField
            v-model="of(course).why"
            label="Reason for ending"
            words
            :error="end.errors.value.reason"
          />
          <NButton attr-type="submit" :loading="end.pending.value">End the course</NButton>
        </form>
        <p v-if="carry.errors.value.course ?? carry.trouble.value" class="fault" role="alert">
          {{ carry.errors.value.course ?? carry.trouble.value }}
        </p>
      </template>
      <template v-if="course.ended || course.complete">
        <h3>Afterwards</h3>
        <ul class="rows">
          <li v-for="step in course.after" :key="step.key">
            <span :class="{ soft: step.done }">{{ step.text }}</span>
            <b v-if="step.done" class="small">done</b
            ><button
              v-else-if="writes"
              type="button"
              class="link-button small"
              @click="after.send({ course: course.id, step: step.key })"
            >
              Done
            </button>
          </li>
        </ul>
      </template>
    </section>
    <section
      v-for="wash in page.washes"
      :key="wash.name"
      class="part"
      :aria-label="`${wash.name} washing out`"
    >
      <h2>
        {{ wash.name }}
        <span class="soft small"
          >{{ wash.left }} left, by decay, changes, trickle and what adsorbs it; two weeks on if nothing is
          given</span
        >
      </h2>
      <ResidualCurve :course="wash" />
    </section>
    <ChargeList :system="system" :page="page" :writes="writes" />
    <section class="part" aria-label="Cultures">
      <h2>Bacterial culture</h2>
      <p>{{ page.culture }}</p>
    </section>
  </template>
</template>

<style scoped>
.says {
  font-size: 1.2rem;
}

.top {
  font-size: 1.35rem;
}

h3 {
  margin-top: 0.8rem;
  font-size: 1rem;
}
</style>
