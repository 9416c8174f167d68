<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Rounds } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { clock } from '@/units/time'

const props = defineProps<{ rounds: Rounds; systems: number }>()
const asked = ref<'end' | 'pass'>()
const form = reactive({ note: '', to: '' })
const path = (id: string) => ({ params: { path: { id } } })
const begin = useSend((_input: undefined, id) =>
  answer(() => api.PUT('/api/rounds/{id}', { ...path(id), body: {} })),
)
const closed = () => {
  asked.value = undefined
  Object.assign(form, { note: '', to: '' })
}
const finish = useSend<undefined>(
  () =>
    answer(() =>
      api.PUT('/api/rounds/{id}/end', { ...path(props.rounds.mine?.id ?? ''), body: { note: form.note } }),
    ),
  closed,
)
const pass = useSend<undefined>(
  () =>
    answer(() =>
      api.PUT('/api/rounds/{id}/pass', { ...path(props.rounds.mine?.id ?? ''), body: { ...form } }),
    ),
  closed,
)
</script>

<!-- The round one walks: begun, handed over with a note, finished when no system is left. -->
<template>
  <section class="bar" aria-label="My round">
    <template v-if="rounds.mine">
      <p>
        <b>On the round</b> since {{ clock(rounds.mine.began_at) }}: {{ rounds.mine.looked.length }} of
        {{ systems }} looked at<template v-if="rounds.mine.skipped.length"
          >, {{ rounds.mine.skipped.length }} skipped</template
        >.
      </p>
      <p v-if="rounds.mine.passed_by" class="note">
        {{ rounds.mine.passed_by }} handed it to you<template v-if="rounds.mine.passed_note"
          >: {{ rounds.mine.passed_note }}</template
        >
      </p>
      <div v-if="!asked" class="buttons">
        <NButton type="primary" @click="asked = 'end'">Finish the round</NButton>
        <button v-if="rounds.people.length" type="button" class="link-button" @click="asked = 'pass'">
          Hand it over
        </button>
      </div>
      <form
        v-if="asked === 'end'"
        novalidate
        aria-label="Finish the round"
        @submit.prevent="finish.send(undefined)"
      >
        <TypedField
          v-model="form.note"
          label="Anything to say?"
          words
          :longest="500"
          :error="finish.errors.value.note"
        />
        <p v-if="finish.errors.value.left" class="fault" role="alert">{{ finish.errors.value.left }}</p>
        <div class="buttons">
          <NButton type="primary" attr-type="submit" :loading="finish.pending.value">Finish</NButton>
          <button type="button" class="link-button" @click="asked = undefined">Go on walking</button>
        </div>
        <p v-if="finish.trouble.value" class="fault" role="alert">{{ finish.trouble.value }}</p>
      </form>
      <form
        v-if="asked === 'pass'"
        novalidate
        aria-label="Hand the round over"
        @submit.prevent="pass.send(undefined)"
      >
        <PickField
          v-model="form.to"
          label="To"
          :choices="[
            { value: '', label: '' },
            ...rounds.people.map((one) => ({ value: one.id, label: one.name })),
          ]"
          :error="pass.errors.value.to"
        />
        <TypedField
          v-model="form.note"
          label="What should they know?"
          words
          :longest="300"
          :error="pass.errors.value.note"
        />
        <div class="buttons">
          <NButton type="primary" attr-type="submit" :loading="pass.pending.value">Hand over</NButton>
          <button type="button" class="link-button" @click="asked = undefined">Keep it</button>
        </div>
        <p v-if="pass.trouble.value" class="fault" role="alert">{{ pass.trouble.value }}</p>
      </form>
    </template>
    <p v-else>
      <button
        type="button"
        class="link-button"
        :disabled="begin.pending.value"
        @click="begin.send(undefined)"
      >
        Begin my round</button
      ><span v-if="rounds.since" class="soft small"> Your last one ended {{ clock(rounds.since) }}.</span>
      <span v-for="one in rounds.others" :key="one.began_at" class="soft small">
        {{ one.by }} walks since {{ clock(one.began_at) }}.</span
      >
    </p>
    <p v-if="begin.trouble.value" class="fault" role="alert">{{ begin.trouble.value }}</p>
  </section>
</template>

<style scoped>
.bar {
  margin: 0 0 0.8rem;
}

.note {
  padding: 0.4rem 0.8rem;
  border-left: 3px solid var(--ink);
  background: var(--sheet);
}

form {
  max-width: 34rem;
}
</style>
