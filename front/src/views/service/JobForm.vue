<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, type Ref } from 'vue'
import { answer, api } from '@/api/client'
import type { FieldErrors, ServiceJob, ServicePage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { whole } from '@/units/chosen'
import { figures } from '@/units/number'

type Body = Record<string, unknown>
const props = defineProps<{
  system: System
  part: string
  job: ServiceJob
  rinse: ServicePage['rinse']
  sending: {
    send: (body: Body) => void
    pending: Ref<boolean>
    errors: Ref<FieldErrors>
    trouble: Ref<string | null>
  }
}>()
const way = ref(props.job.stops ? 'stop' : 'throttle')
const rinse = ref<string>(props.rinse)
const at = ref('')
const every = ref(props.job.set && props.job.every_d !== null ? String(props.job.every_d) : '')
const errors = computed(() => props.sending.errors.value)
const WAYS = computed(() => [
  ...(props.job.can_stop ? [{ value: 'stop', label: 'now, with the pump stopped' }] : []),
  { value: 'throttle', label: props.job.can_stop ? 'now, with the pump running' : 'now' },
  { value: 'told', label: 'it is done already' },
])
const RINSES = [
  { value: 'system', label: 'system water' },
  { value: 'hosed', label: 'a hose, water free of chlorine' },
  { value: 'chlorinated', label: 'a hose, chlorinated water' },
]
const begin = () =>
  props.sending.send({
    job: props.job.id,
    part: props.part,
    way: way.value,
    ...(props.job.washes ? { rinse: rinse.value } : {}),
    ...(way.value === 'told' ? { at: at.value } : {}),
  })
const interval = useSend((body: Record<string, unknown>) =>
  answer(() =>
    api.POST('/api/systems/{system}/service/interval', {
      params: { path: { system: props.system.slug } },
      body: { part: props.part, job: props.job.id, ...body },
    }),
  ),
)
</script>

<template>
  <div class="job-form">
    <p>
      About {{ figures(job.minutes, 2) }} min<template v-if="job.tools.length"
        >, with {{ job.tools.join(', ') }}</template
      ><template v-if="job.water_l === null"
        >. What it takes of the water is not known: the fall of its waste is not on
        <RouterLink :to="{ name: 'build', params: { system: system.slug } }">Build</RouterLink></template
      ><template v-else-if="job.water_l >= 1">, takes about {{ whole(job.water_l, 'L') }}</template
      ><template v-if="job.takes_pct >= 0.5"
        >, and about {{ figures(job.takes_pct, 2) }} % of what lives in the filter</template
      >.
    </p>
    <p v-for="one in [...job.warns, ...job.not]" :key="one.code" class="caution">{{ one.text }}</p>
    <p v-if="job.open">
      <RouterLink :to="{ name: 'service-run', params: { system: system.slug, run: job.open } }"
        >Go on with it</RouterLink
      >
    </p>
    <form v-else class="fields" novalidate @submit.prevent="begin">
      <PickField label="When" :error="errors.way ?? errors.job" v-model="way" :choices="WAYS" />
      <PickField
        v-if="job.washes"
        label="Rinsed in"
        :error="errors.rinse"
        v-model="rinse"
        :choices="RINSES"
      />
      <TypedField v-if="way === 'told'" v-model="at" label="Done at" hint="empty is now" :error="errors.at" />
      <NButton type="primary" attr-type="submit" :loading="sending.pending.value">{{
        way === 'told' ? 'Book it' : 'Begin'
      }}</NButton>
    </form>
    <p v-if="sending.trouble.value" class="fault" role="alert">{{ sending.trouble.value }}</p>
    <form class="fields own" novalidate @submit.prevent="interval.send({ every_d: every })">
      <TypedField
        v-model="every"
        label="My interval"
        unit="days"
        :hint="job.set ? 'your own' : 'empty: by season and feed'"
        :error="interval.errors.value.every_d"
      />
      <button type="submit" class="link-button">Keep it</button>
      <button v-if="job.set" type="button" class="link-button" @click="interval.send({ usual: true })">
        As usual again
      </button>
      <button type="button" class="link-button" @click="interval.send({ never: true })">Not done here</button>
    </form>
  </div>
</template>

<style scoped>
.job-form {
  padding: 0.75rem 0 1rem 1rem;
  border-left: 3px solid var(--straw);
}

.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.5rem;
  margin-top: 0.75rem;
}

.fields > :first-child {
  min-width: 14rem;
}
</style>
