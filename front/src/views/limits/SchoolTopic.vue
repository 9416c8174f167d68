<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { useSchoolTrial } from '@/api/queries'
import type { LimitsPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'

type Topic = LimitsPage['topics'][number]
const props = defineProps<{ system: System; topic: Topic; writes: boolean }>()
/** A school that is looked at and not followed yet. */
const tried = ref<string>()
const reason = ref('')
const trial = useSchoolTrial(
  () => props.system.slug,
  () => props.topic.id,
  tried,
)
const school = computed(() =>
  props.topic.schools.find((one) => one.id === (tried.value ?? props.topic.follows)),
)
const follow = useSend(
  (to: { school: string | null; reason: string; for?: 'site' }) =>
    answer(() =>
      api.PUT('/api/systems/{system}/schools/{topic}', {
        params: { path: { system: props.system.slug, topic: props.topic.id } },
        body: { school: to.school, reason: to.reason, for: to.for ?? 'system' },
      }),
    ),
  () => (tried.value = undefined),
)
function look(id: string): void {
  tried.value = id === props.topic.follows ? undefined : id
  reason.value = props.topic.reason ?? ''
}
watch(
  () => props.topic.follows,
  () => (tried.value = undefined),
)
const lower = computed(() => props.topic.name.toLowerCase())
</script>

<!-- One thing keepers differ in: what is followed, why, its risk, and what another would change before it is kept. -->
<template>
  <li class="topic">
    <b :id="`topic-${topic.id}`">{{ topic.name }}</b>
    <select
      :aria-labelledby="`topic-${topic.id}`"
      :value="tried ?? topic.follows"
      :disabled="!writes"
      @change="look(($event.target as HTMLSelectElement).value)"
    >
      <option v-for="one in topic.schools" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
    <span class="soft"
      >{{ school?.says }} <span v-if="school?.risk" class="small">Its risk: {{ school.risk }}</span>
      <span class="small block"
        >{{ topic.changes }}
        {{
          topic.own !== null
            ? 'Chosen for this system.'
            : topic.site !== null
              ? 'Chosen for all systems here.'
              : `As usual: ${topic.why}`
        }}</span
      ></span
    >
    <section v-if="tried" class="trial" :aria-label="`What it would change: ${topic.name}`">
      <p v-if="trial.isPending.value" class="soft">Working out what it would change …</p>
      <p v-else-if="trial.isError.value" class="fault" role="alert">{{ trial.error.value?.message }}</p>
      <template v-else>
        <p v-if="!trial.data.value?.rows.length">Nothing that is shown here now would change.</p>
        <div v-for="row in trial.data.value?.rows ?? []" :key="row.of" class="row">
          <b class="small">{{ row.of }}</b>
          <div>
            <p v-for="line in row.was" :key="line" class="soft">
              <s>{{ line }}</s>
            </p>
            <p v-for="line in row.is" :key="line">{{ line }}</p>
          </div>
        </div>
      </template>
      <label class="small"
        >why
        <input v-model="reason" class="inline" :aria-label="`Why this school of ${lower}`" maxlength="200"
      /></label>
      <div class="buttons">
        <NButton
          type="primary"
          :loading="follow.pending.value"
          @click="follow.send({ school: tried ?? null, reason })"
          >Follow it here</NButton
        >
        <button type="button" class="link-button" @click="tried = undefined">Leave it as it is</button>
      </div>
    </section>
    <span v-if="writes && !tried" class="small scope">
      <button
        v-if="topic.own !== null && topic.own !== topic.site"
        type="button"
        class="link-button"
        :aria-label="`Follow this school of ${lower} in all systems`"
        @click="follow.send({ school: topic.follows, reason: topic.reason ?? '', for: 'site' })"
      >
        Use for all systems
      </button>
      <button
        v-if="topic.own !== null"
        type="button"
        class="link-button"
        :aria-label="`Nothing of its own for ${lower}`"
        @click="follow.send({ school: null, reason: '' })"
      >
        Same as all systems
      </button>
      <button
        v-if="topic.own === null && topic.site !== null"
        type="button"
        class="link-button"
        :aria-label="`Back to usual for ${lower} in all systems`"
        @click="follow.send({ school: null, reason: '', for: 'site' })"
      >
        Usual for all systems
      </button>
    </span>
    <span v-if="topic.reason && !tried" class="why small">{{ topic.reason }}</span>
    <p v-if="follow.trouble.value" class="fault why" role="alert">{{ follow.trouble.value }}</p>
  </li>
</template>

<style scoped>
.topic {
  display: grid;
  grid-template-columns: 10rem 15rem minmax(0, 1fr);
  gap: 0.25rem 1.5rem;
  align-items: baseline;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}

.block {
  display: block;
}

.why,
.trial {
  grid-column: 3;
}

.trial {
  padding: 0.6rem 0.9rem;
  border-left: 3px solid var(--ink);
  background: var(--sheet);
}

.trial p {
  max-width: 40rem;
  margin: 0 0 0.2rem;
}

.row {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 0.25rem 1rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--hair);
}

.scope {
  display: flex;
  grid-column: 2;
  gap: 1rem;
}

.inline {
  width: min(100%, 26rem);
}

.buttons {
  display: flex;
  gap: 1rem;
  align-items: center;
  margin-top: 0.5rem;
}

@media (max-width: 720px) {
  .topic,
  .row {
    grid-template-columns: minmax(0, 1fr);
  }

  .why,
  .trial,
  .scope {
    grid-column: 1;
  }
}
</style>
