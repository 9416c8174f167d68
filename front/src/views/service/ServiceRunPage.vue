<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, orWaits, Refusal } from '@/api/client'
import { queryClient, refreshBook, useServiceRun, useSession } from '@/api/queries'
import { signal } from '@/api/signal/signal'
import type { FieldErrors, ServiceRun, System } from '@/api/types'
import { useMutation } from '@tanstack/vue-query'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import { whole } from '@/units/chosen'

const props = defineProps<{ system: System }>()
const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params.run))
const run = useServiceRun(() => props.system.slug, id)
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const path = () => ({ system: props.system.slug, id: id.value })
/** What was ticked here without signal counts as done here. */
const steps = computed(() =>
  (run.data.value?.steps ?? []).map((one, n) => {
    const address = `/api/systems/${props.system.slug}/services/${id.value}/`
    const kept = signal.waiting.some(
      (entry) => entry.path === `${address}steps/${n}` || (one.flow && entry.path === `${address}flow`),
    )
    return kept ? { ...one, done: true } : one
  }),
)
/** The step one stands at: the first that is not done, or one that is looked at again. */
const looked = ref<number | null>(null)
const at = computed(() => {
  const first = steps.value.findIndex((step) => !step.done)
  return looked.value ?? (first < 0 ? steps.value.length : first)
})
const step = computed(() => steps.value[at.value])
const flow = ref('')
const notes = ref({ water_l: '', cost: '', note: '' })

/** The answer is what stands now: one goes on at once, the other pages follow. */
const act = useMutation({
  mutationFn: (send: () => Promise<ServiceRun>) => send().catch(orWaits),
  onSuccess: (now) => {
    if (now) queryClient.setQueryData(['service', props.system.slug, id.value], now)
    looked.value = null
    void refreshBook()
  },
})
const tick = (n: number) =>
  act.mutate(() =>
    answer(() =>
      api.PUT('/api/systems/{system}/services/{id}/steps/{step}', {
        params: { path: { ...path(), step: n } },
        body: { done: true },
      }),
    ),
  )
const see = (body: { seen?: boolean; flow_l_h?: string }) =>
  act.mutate(() =>
    answer(() => api.PUT('/api/systems/{system}/services/{id}/flow', { params: { path: path() }, body })),
  )
const end = () =>
  act.mutate(() =>
    answer(() =>
      api.PUT('/api/systems/{system}/services/{id}/end', {
        params: { path: path() },
        body: { ...notes.value },
      }),
    ),
  )
const give = useSend<void>(() =>
  answer(() => api.DELETE('/api/systems/{system}/services/{id}', { params: { path: path() } })).then((page) =>
    router.push({ name: 'service', params: { system: props.system.slug } }).then(() => page),
  ),
)
const busy = computed(() => act.isPending.value)
const errors = computed<FieldErrors>(() => (act.error.value instanceof Refusal ? act.error.value.errors : {}))
const FIELDS = ['flow_l_h', 'water_l', 'cost']
const trouble = computed(() => {
  const said = Object.entries(errors.value).find(([field]) => !FIELDS.includes(field))?.[1]
  return said ?? (Object.keys(errors.value).length ? null : act.error.value?.message)
})
</script>

<!-- One step at a time, for one thumb; what is left can be taken up by anybody. -->
<template>
  <p v-if="run.isError.value" class="fault" role="alert">{{ run.error.value?.message }}</p>
  <p v-else-if="!run.data.value" class="soft">Opening …</p>
  <section v-else class="run" :aria-label="run.data.value.part">
    <h2>{{ run.data.value.part }}: {{ run.data.value.job.toLowerCase() }}</h2>
    <ol class="dots" aria-label="Steps">
      <li v-for="(one, n) in steps" :key="n">
        <button
          type="button"
          :class="{ done: one.done, here: n === at }"
          :aria-label="`Step ${n + 1}${one.done ? ', done' : ''}`"
          :aria-current="n === at ? 'step' : undefined"
          @click="looked = n"
        >
          {{ n + 1 }}
        </button>
      </li>
    </ol>
    <template v-if="run.data.value.ended">
      <p class="big">Done.</p>
      <p v-for="one in run.data.value.after" :key="one.code" class="caution">{{ one.text }}</p>
      <p v-if="run.data.value.water_l">{{ whole(run.data.value.water_l, 'L') }} left, booked as a change.</p>
      <p><RouterLink :to="{ name: 'service', params: { system: system.slug } }">To service</RouterLink></p>
    </template>
    <template v-else-if="step">
      <p class="big" :class="{ caution: step.caution }" aria-live="polite">{{ step.text }}</p>
      <p v-if="step.done" class="soft">
        Done<template v-if="step.by">, {{ step.by }}</template
        >.
      </p>
      <template v-else-if="step.flow && writes">
        <NButton type="primary" size="large" block :loading="busy" @click="see({ seen: true })"
          >I see it flow at every one</NButton
        >
        <form class="figure" novalidate @submit.prevent="see({ flow_l_h: flow })">
          <TypedField v-model="flow" label="or the flow" unit="L/h" :error="errors.flow_l_h" />
          <NButton attr-type="submit" :loading="busy">Keep it</NButton>
        </form>
      </template>
      <NButton v-else-if="writes" type="primary" size="large" block :loading="busy" @click="tick(at)">{{
        step.switches ? 'I did it: book it' : 'Done, next'
      }}</NButton>
    </template>
    <form v-else-if="writes" class="ending" novalidate @submit.prevent="end()">
      <p v-for="one in run.data.value.open" :key="one.text" class="caution">{{ one.text }}</p>
      <TypedField
        v-model="notes.water_l"
        label="Water that left"
        unit="L"
        :hint="
          run.data.value.water_l === null
            ? 'not known'
            : `about ${whole(run.data.value.water_l, 'L')} if empty`
        "
        :error="errors.water_l"
      />
      <TypedField v-model="notes.cost" label="Cost" hint="if any" :error="errors.cost" />
      <TypedField v-model="notes.note" label="What was seen" :words="true" :longest="500" />
      <NButton type="primary" size="large" block attr-type="submit" :loading="busy">Close it</NButton>
    </form>
    <p v-if="trouble" class="fault" role="alert">{{ trouble }}</p>
    <p v-if="!run.data.value.ended" class="soft small">
      Planned for {{ run.data.value.planned_min }} min. You can leave this page: the clock stays in the foot,
      and anybody can go on.
      <button v-if="writes" type="button" class="link-button" @click="give.send()">Give it up</button>
    </p>
  </section>
</template>

<style scoped>
.run {
  max-width: 34rem;
}

.dots {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin: 1rem 0;
}

.dots li {
  border: 0;
  padding: 0;
}

.dots button {
  min-width: 44px;
  min-height: 44px;
  border: 1px solid var(--hair);
  background: none;
  color: var(--soft);
  font: inherit;
  cursor: pointer;
}

.dots .done {
  border-color: var(--moss, var(--water));
  color: var(--ink);
  text-decoration: line-through;
}

.dots .here {
  border: 2px solid var(--straw);
  color: var(--ink);
  font-weight: 700;
}

.big {
  margin: 1.25rem 0;
  font-size: 1.35rem;
  line-height: 1.35;
}

.figure {
  display: flex;
  align-items: end;
  gap: 1rem;
  margin-top: 1rem;
}

.ending > * {
  margin-bottom: 0.9rem;
}
</style>
