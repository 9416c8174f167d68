<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { useSession, useTrouble } from '@/api/queries'
import type { System, Trouble } from '@/api/types'
import { useSend } from '@/api/useSend'
import StepLine from '@/parts/answer/StepLine.vue'
import StateMark from '@/parts/StateMark.vue'
import IncidentBar from './IncidentBar.vue'
import IncidentsBefore from './IncidentsBefore.vue'
import RefugeList from './RefugeList.vue'
import StepTick from './StepTick.vue'
import SuspectList from './SuspectList.vue'

const props = defineProps<{ system: System }>()
const route = useRoute()
const router = useRouter()
/** What is seen stands in the address: it can be sent to somebody who knows more. */
const seen = computed(() => String(route.query.seen ?? ''))
const query = useTrouble(() => props.system.slug, seen)
const trouble = computed(() => query.data.value)
const open = computed(() => trouble.value?.incident ?? null)
/** A sign that could not be told is not ticked: its box is made anew. */
const untold = ref(0)
function see(id: string, there: boolean): void {
  // Of an open incident everybody sees the same.
  if (open.value) {
    opens.send(
      { event: 'seen', signs: there ? [id] : [], gone: there ? [] : [id] },
      { onError: () => untold.value++ },
    )
    return
  }
  const now = seen.value.split(',').filter((word) => word && word !== id)
  if (there) now.push(id)
  void router.replace({ query: now.length ? { seen: now.join(',') } : {} })
}
const session = useSession()
const writes = computed(() => session.data.value?.person?.writes ?? false)
const opens = useSend(
  (input: { event: string; signs: string[]; gone?: string[]; minutes?: string }, id) =>
    answer(() =>
      api.PUT('/api/systems/{system}/incidents/{id}', {
        params: { path: { system: props.system.slug, id } },
        body: input,
      }),
    ),
  () => void router.replace({ query: {} }),
)
const untellable = computed(() => opens.trouble.value ?? opens.errors.value.signs ?? opens.errors.value.gone)
const numbered = computed(() => {
  let n = 0
  return (trouble.value?.causes ?? []).map((cause: Trouble['causes'][number]) => ({
    ...cause,
    steps: cause.steps.map((step) => ({ ...step, n: ++n })),
  }))
})
</script>

<template>
  <p v-if="query.isError.value && !trouble" class="fault" role="alert">{{ query.error.value?.message }}</p>
  <p v-else-if="!trouble" class="soft">Working out what to do …</p>
  <div v-else class="whole">
    <IncidentBar
      :system="system"
      :trouble="trouble"
      :writes="writes"
      :signs="trouble.signs.filter((sign) => sign.seen).map((sign) => sign.id)"
      :opening="opens.pending.value"
      :errors="opens.errors.value"
      :fault="opens.trouble.value"
      @open="opens.send"
    />
    <fieldset class="signs" :class="{ below: trouble.causes.length && !seen }">
      <legend>What do you see?</legend>
      <label v-for="sign in trouble.signs" :key="`${sign.id} ${untold}`" :class="{ on: sign.seen }"
        ><input
          type="checkbox"
          :checked="sign.seen"
          :disabled="open !== null && !writes"
          @change="see(sign.id, ($event.target as HTMLInputElement).checked)"
        />
        {{ sign.says }}</label
      >
      <p v-if="open && untellable" class="fault" role="alert">{{ untellable }}</p>
    </fieldset>
    <p v-if="trouble.readings.length" class="readings">
      <span v-for="row in trouble.readings" :key="row.name"
        ><span class="soft small">{{ row.name }}</span> <b>{{ row.text }}</b>
        <StateMark v-if="row.state !== 'good'" :state="row.state" />
        <span class="soft small">{{ row.from }}</span></span
      >
    </p>
    <p v-if="trouble.no_volume" class="caution">
      {{ trouble.no_volume.text }}
      <RouterLink class="small" :to="{ name: 'build', params: { system: system.slug } }">Build</RouterLink>
    </p>
    <p v-if="trouble.changed" class="caution">{{ trouble.changed }}</p>
    <p v-if="trouble.tests.length" class="caution">
      {{
        trouble.readings.length
          ? 'Test as soon as the air is on'
          : 'Nothing was tested here lately. Test first'
      }}: <b>{{ trouble.tests.join(', ') }}</b>.
      <RouterLink :to="{ name: 'test', params: { system: system.slug } }">Test</RouterLink
      ><span v-if="trouble.old.length" class="soft small">
        Too old to use: {{ trouble.old.join('; ') }}.</span
      >
    </p>
    <p v-if="!trouble.causes.length && trouble.readings.length" class="calm">
      {{ trouble.watched.length ? 'The readings ask for nothing more.' : 'No reading asks for action.' }}
      Choose what you see to work through possible causes in order.
    </p>
    <p v-if="trouble.behind" class="behind">{{ trouble.behind.text }}</p>
    <p v-if="trouble.suspects[0]" class="behind">
      {{
        trouble.suspects[0].word === 'likely'
          ? 'By the book most likely behind it'
          : 'The book points first to'
      }}:
      <b>{{
        trouble.suspects[0].name.charAt(0).toLowerCase() + trouble.suspects[0].name.slice(1)
      }}</b><template v-if="trouble.suspects[0].for[0]">. {{ trouble.suspects[0].for[0].text }}</template>
    </p>
    <section v-for="cause in numbered" :key="cause.id" class="part" :aria-label="cause.name">
      <h2>{{ cause.name }}</h2>
      <ol>
        <li v-for="step in cause.steps" :key="step.n">
          <span class="n" aria-hidden="true">{{ step.n }}</span>
          <div>
            <StepLine :step="step" :slug="system.slug" />
            <StepTick v-if="open" :system="system" :incident="open.id" :step="step" :writes="writes" />
          </div>
        </li>
      </ol>
    </section>
    <SuspectList v-if="trouble.suspects.length" :system="system" :suspects="trouble.suspects" />
    <RefugeList v-if="trouble.causes.length && system.fish_count" :system="system" />
    <section v-if="trouble.watched.length" class="part" aria-label="What is watched">
      <h2>At watch: what keeps it from getting worse</h2>
      <ul class="kept">
        <li v-for="one in trouble.watched" :key="one.code">{{ one.text }}</li>
      </ul>
    </section>
    <p v-if="trouble.causes.length" class="soft small">
      By the schools this system follows:
      <RouterLink :to="{ name: 'limits', params: { system: system.slug } }"
        >ammonia, feed in trouble, salt</RouterLink
      >. If fish lie over or keep gasping, call a veterinarian.
    </p>
    <IncidentsBefore :system="system" />
  </div>
</template>

<style scoped>
.kept {
  max-width: 46rem;
}

.kept li {
  display: block;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--hair);
}

/* Where the readings say what to do, that comes before the question what one sees. */
.whole {
  display: flex;
  flex-direction: column;
}

.below {
  order: 1;
  margin-top: 2rem !important;
}

.signs {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.6rem;
  padding: 0;
  margin: 0 0 0.9rem;
  border: 0;
}

.signs legend {
  padding: 0;
  margin-bottom: 0.5rem;
  font-size: 1.15rem;
  font-weight: 700;
}

.signs label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 40px;
  padding: 0.25rem 0.75rem;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--sheet);
  cursor: pointer;
}

.signs .on {
  border-color: var(--ink);
  font-weight: 700;
}

.signs input {
  flex: none;
  width: 1.1rem;
  height: 1.1rem;
  margin: 0;
}

.readings {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 1.5rem;
  margin-bottom: 0.6rem;
}

.calm {
  max-width: 46rem;
  font-size: 1.15rem;
}

li {
  display: grid;
  grid-template-columns: 2.2rem minmax(0, 1fr);
  padding: 0.55rem 0;
  border-bottom: 1px solid var(--hair);
}

.n {
  color: var(--soft);
  font-size: 1.15rem;
}

.behind {
  max-width: 44rem;
  margin: 0.25rem 0 0.5rem;
}

@media (max-width: 720px) {
  .signs {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    font-size: 0.875rem;
    line-height: 1.15;
  }

  .signs legend {
    grid-column: 1 / -1;
  }

  .signs label {
    padding: 0.25rem 0.5rem;
  }
}
</style>
