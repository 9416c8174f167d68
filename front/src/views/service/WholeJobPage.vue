<script setup lang="ts">
import { useDebounce } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { computed, reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { useSession, useWholeJob } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import TypedField from '@/parts/TypedField.vue'
import { whole } from '@/units/chosen'
import { figures } from '@/units/number'

const props = defineProps<{ system: System }>()
const route = useRoute()
const router = useRouter()
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const typed = reactive<Record<string, string>>({ tub_l: '', hours: '', keep_pct: '' })
const asked = useDebounce(
  computed(() => Object.fromEntries(Object.entries(typed).filter(([, value]) => value.trim() !== ''))),
  300,
)
const page = useWholeJob(
  () => props.system.slug,
  () => String(route.params.job),
  asked,
)
const job = computed(() => page.data.value)
const begin = useSend((body: Record<string, unknown>, key) =>
  answer(() =>
    api.PUT('/api/systems/{system}/services/{id}', {
      params: { path: { system: props.system.slug, id: key } },
      body,
    }),
  ).then(async (run) => {
    await router.push({ name: 'service-run', params: { system: props.system.slug, run: run.id } })
    return run
  }),
)
const fault = (key: string) => begin.errors.value[key] ?? job.value?.errors[key]
</script>

<!-- A job of the whole system before it is begun: where the fish stay, what goes in again, every step. -->
<template>
  <p v-if="page.isError.value" class="fault" role="alert">{{ page.error.value?.message }}</p>
  <p v-else-if="!job" class="soft">Opening …</p>
  <template v-else>
    <p class="small">
      <RouterLink :to="{ name: 'service', params: { system: system.slug } }">Service</RouterLink>
    </p>
    <h2>{{ job.name }}</h2>
    <p v-if="job.school">
      <b>{{ job.school.name }}</b>: {{ job.school.says }}
      <span class="soft small"
        >By the school followed here.
        <RouterLink :to="{ name: 'limits', params: { system: system.slug } }"
          >Limits and schools</RouterLink
        ></span
      >
    </p>
    <p v-if="job.open">
      It is begun.
      <RouterLink :to="{ name: 'service-run', params: { system: system.slug, run: job.open } }"
        >Go on with it</RouterLink
      >
    </p>
    <p v-if="job.fish_kg > 0 && job.tub_l !== null" class="lead">
      <template v-if="job.stays_h !== null"
        >In {{ whole(job.tub_l, 'L') }} the {{ figures(job.fish_kg, 2) }} kg of fish may stay
        {{ figures(job.stays_h, 2) }} h with air</template
      ><template v-else
        >Ammonia does not limit how long the fish may stay in {{ whole(job.tub_l, 'L') }}</template
      ><template v-if="job.airless_min !== null">, {{ figures(job.airless_min, 2) }} min without</template>.
    </p>
    <p v-else-if="job.fish_kg > 0 && job.least_tub_l !== null" class="lead">
      The {{ figures(job.fish_kg, 2) }} kg of fish need at least {{ whole(job.least_tub_l, 'L') }} for
      {{ figures(job.hours, 2) }} h.
    </p>
    <form
      class="fields"
      novalidate
      @submit.prevent="begin.send({ job: job.id, part: job.part, way: 'stop', ...asked })"
    >
      <TypedField
        v-if="job.fish_kg > 0"
        v-model="typed.tub_l!"
        label="Tub for the fish"
        unit="L"
        :error="fault('tub_l')"
      />
      <TypedField
        v-model="typed.hours!"
        label="It takes"
        unit="h"
        :placeholder="figures(job.hours, 2)"
        :error="fault('hours')"
      />
      <TypedField
        v-if="job.id !== 'first_fill'"
        v-model="typed.keep_pct!"
        label="Water kept"
        unit="%"
        :placeholder="figures(job.keep_pct, 2)"
        :error="fault('keep_pct')"
      />
      <NButton v-if="writes && !job.open" type="primary" attr-type="submit" :loading="begin.pending.value"
        >Begin</NButton
      >
    </form>
    <p v-if="begin.errors.value.job ?? begin.trouble.value" class="fault" role="alert">
      {{ begin.errors.value.job ?? begin.trouble.value }}
    </p>
    <section class="part" aria-label="Steps">
      <h2>Step by step</h2>
      <p class="soft small">
        {{ whole(job.volume_l, 'L') }} in all<template v-if="job.refill_l < job.volume_l"
          >, {{ whole(job.refill_l, 'L') }} new</template
        ><template v-if="job.tools.length">. Have ready: {{ job.tools.join(', ') }}</template
        >.
      </p>
      <ol class="steps">
        <li v-for="(step, i) in job.steps" :key="i" :class="{ caution: step.caution }">{{ step.text }}</li>
      </ol>
    </section>
  </template>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem 1.5rem;
}

.steps {
  max-width: 46rem;
  padding-left: 1.75rem;
  list-style: decimal;
}

.steps .caution {
  padding-left: 0.75rem;
}

.steps li {
  padding: 0.3rem 0;
}
</style>
