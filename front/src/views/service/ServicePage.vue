<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { useService, useSession } from '@/api/queries'
import type { ServiceJob, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import { whole } from '@/units/chosen'
import { figures } from '@/units/number'
import JobForm from './JobForm.vue'
import OwnJobs from './OwnJobs.vue'

const props = defineProps<{ system: System }>()
const service = useService(() => props.system.slug)
const session = useSession()
const router = useRouter()
const writes = computed(() => session.data.value?.person?.writes ?? false)
/** The job that is opened, by part and id. */
const opened = ref<string | null>(null)
const STANDS = {
  early: 'not yet',
  soon: 'soon',
  due: 'due',
  late: 'late',
  unknown: 'not known when',
} as const
const days = (value: number) => {
  const whole = Math.round(Math.abs(value))
  return `${whole} day${whole === 1 ? '' : 's'}`
}
const when = (job: ServiceJob) => {
  if (job.stands === 'unknown') return 'nobody wrote down when'
  const done = job.done ? `done ${job.done}` : ''
  const left =
    job.left_d === null
      ? ''
      : job.left_d >= 0
        ? `again in ${days(job.left_d)}`
        : `over by ${days(job.left_d)}`
  return [done, left].filter(Boolean).join(', ')
}
const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1)
const RANK = { late: 0, due: 1, soon: 2, unknown: 3, early: 4 } as const
/** The most urgent first; of those alike, in the order of the flow. */
const jobs = computed(() =>
  (service.data.value?.parts ?? [])
    .flatMap((part) => part.jobs.map((job) => ({ part, job })))
    .sort((a, b) => (a.job.open ? -1 : RANK[a.job.stands]) - (b.job.open ? -1 : RANK[b.job.stands])),
)
const now = computed(() => jobs.value.filter(({ job }) => job.stands === 'due' || job.stands === 'late'))
const undo = useSend((id: string) =>
  answer(() =>
    api.DELETE('/api/systems/{system}/services/{id}', {
      params: { path: { system: props.system.slug, id } },
    }),
  ),
)
const begin = useSend(
  (body: Record<string, unknown>, key) =>
    answer(() =>
      api.PUT('/api/systems/{system}/services/{id}', {
        params: { path: { system: props.system.slug, id: key } },
        body,
      }),
    ).then(async (run) => {
      opened.value = null
      if (!run.ended)
        await router.push({ name: 'service-run', params: { system: props.system.slug, run: run.id } })
      return run
    }),
  undefined,
  (body) => `${String(body.part)} ${String(body.job)}`,
)
</script>

<!-- What is done to keep the loop running: due, by part, and what was done. -->
<template>
  <p v-if="service.isError.value" class="fault" role="alert">{{ service.error.value?.message }}</p>
  <p v-else-if="!service.data.value" class="soft">Opening …</p>
  <template v-else>
    <ul v-if="service.data.value.open.length" class="open" aria-label="Begun">
      <li v-for="run in service.data.value.open" :key="run.id">
        <RouterLink :to="{ name: 'service-run', params: { system: system.slug, run: run.id } }"
          ><b>{{ run.part }}: {{ lower(run.job) }}</b></RouterLink
        >
        is begun, {{ run.steps.filter((step) => step.done).length }} of {{ run.steps.length }} steps
        done<template v-if="run.by">, by {{ run.by }}</template
        >.
      </li>
    </ul>
    <p v-if="now.length" class="lead">
      Due:
      <template v-for="(one, i) in now" :key="one.part.key + one.job.id"
        >{{ i ? '; ' : '' }}{{ one.part.name }}, {{ lower(one.job.name) }}</template
      >.
    </p>
    <p v-else class="lead">Nothing is due.</p>
    <p class="soft small">
      {{ service.data.value.chosen }}, by the school followed here. Intervals go by season and feed.
      <RouterLink :to="{ name: 'limits', params: { system: system.slug } }">Limits and schools</RouterLink>
    </p>

    <ul class="rows jobs" aria-label="Jobs">
      <li v-for="{ part, job } in jobs" :key="part.key + job.id" :class="job.stands">
        <span
          ><b>{{ part.kind === 'system' ? 'Whole system' : part.name }}</b> {{ lower(job.name) }}</span
        >
        <span class="stands">{{ job.open ? 'begun' : STANDS[job.stands] }}</span>
        <span class="soft small">{{
          [when(job), ...job.why.map((why) => why.text.replace(/\.$/, ''))].filter(Boolean).join('. ')
        }}</span>
        <button
          v-if="writes"
          type="button"
          class="link-button"
          :aria-expanded="opened === part.key + job.id"
          :aria-label="`${part.name}: ${lower(job.name)}`"
          @click="opened = opened === part.key + job.id ? null : part.key + job.id"
        >
          {{ job.open ? 'Go on' : 'Do it' }}
        </button>
        <JobForm
          v-if="opened === part.key + job.id"
          class="form"
          :system="system"
          :part="part.key"
          :job="job"
          :rinse="service.data.value.rinse"
          :sending="begin"
        />
      </li>
    </ul>

    <section
      v-for="stage in service.data.value.blocking"
      :key="stage.name"
      class="part"
      :aria-label="`Why ${stage.name} blocks too fast`"
    >
      <h2>{{ stage.name }} blocks too fast: half full in {{ figures(stage.blocks_d, 2) }} days</h2>
      <ul v-if="stage.causes.length" class="rows">
        <li v-for="cause in stage.causes" :key="cause.name">
          <b>{{ cause.name }}</b>: {{ figures(cause.value, 3) }} {{ cause.unit }}
          <span class="soft small">counts from {{ figures(cause.from, 2) }}</span
          ><br />{{ cause.says.text }}
        </li>
      </ul>
      <p v-else>Nothing that is known explains it. Measure sight, and look at the floor of the pond.</p>
    </section>

    <section class="part" aria-label="Large jobs, and the year">
      <h2>Large jobs, and the year</h2>
      <ul class="rows">
        <li v-for="job in service.data.value.big" :key="job.id">
          <RouterLink :to="{ name: 'service-whole', params: { system: system.slug, job: job.id } }">{{
            job.name
          }}</RouterLink><template v-if="job.open">, begun</template>
        </li>
        <li>
          <RouterLink :to="{ name: 'year', params: { system: system.slug } }">The year</RouterLink>
        </li>
        <li>
          <RouterLink :to="{ name: 'clear-water', params: { system: system.slug } }"
            >Clear the water</RouterLink
          >
        </li>
      </ul>
    </section>

    <OwnJobs v-if="writes" :system="system" :parts="service.data.value.parts" />

    <section v-if="service.data.value.done.length" class="part" aria-label="What was done">
      <h2>What was done</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="What was done">
        <table>
          <tbody>
            <tr v-for="one in service.data.value.done" :key="one.id">
              <td>
                <b>{{ one.text }}</b>
              </td>
              <td class="soft">
                {{ one.age }}<template v-if="one.by">, {{ one.by }}</template>
              </td>
              <td class="num">{{ one.minutes === null ? '' : `${figures(one.minutes, 2)} min` }}</td>
              <td class="num">{{ one.water_l ? whole(one.water_l, 'L') : '' }}</td>
              <td class="num">{{ one.flow_l_h ? whole(one.flow_l_h, 'L/h') : '' }}</td>
              <td class="num">{{ one.cost === null ? '' : figures(one.cost, 4) }}</td>
              <td>
                <button v-if="writes" type="button" class="link-button small" @click="undo.send(one.id)">
                  Undo
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="undo.errors.value.id ?? undo.trouble.value" class="fault" role="alert">
        {{ undo.errors.value.id ?? undo.trouble.value }}
      </p>
    </section>
  </template>
</template>

<style scoped>
.open li {
  padding: 0.5rem 0.75rem;
  border: 0;
  border-left: 3px solid var(--straw);
}

.jobs li {
  display: grid;
  grid-template-columns: 21rem 7rem minmax(0, 1fr) auto;
  gap: 0.25rem 1.25rem;
  align-items: baseline;
}

.due .stands,
.late .stands {
  font-weight: 700;
}

.late .stands {
  color: var(--rust-ink);
}

.form {
  grid-column: 1 / -1;
}

@media (max-width: 720px) {
  .jobs li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .jobs .small {
    grid-column: 1 / -1;
  }

  .jobs button {
    min-height: 44px;
  }
}
</style>
