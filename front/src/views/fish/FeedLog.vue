<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ulid } from 'ulid'
import { reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { FishPage, System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import TypedField from '@/parts/TypedField.vue'
import { quantity } from '@/units/chosen'

const props = defineProps<{ system: System; fish: FishPage; writes: boolean }>()
const NOTHING = { feed_g: '', came_up: '', left_some: 'no' }
const form = reactive({ ...NOTHING })
const id = ref(ulid())
const path = (key: string) => ({ params: { path: { system: props.system.slug, id: key } } })
const give = useSend(
  () => answer(() => api.PUT('/api/systems/{system}/feeds/{id}', { ...path(id.value), body: { ...form } })),
  () => {
    // How they fed this time says nothing of the next.
    Object.assign(form, NOTHING)
    id.value = ulid()
  },
)
const undo = useSend((key: string) => answer(() => api.DELETE('/api/systems/{system}/feeds/{id}', path(key))))
const CAME: Record<string, string> = { yes: 'came up', slowly: 'came up slowly', no: 'did not come up' }
</script>

<template>
  <section class="part" aria-label="Fed">
    <h2>Feeds</h2>
    <p v-if="fish.feeds.length" class="soft small">{{ quantity(fish.week_g, 'g') }} in the last 7 days.</p>
    <form v-if="writes" class="fields" novalidate @submit.prevent="give.send(undefined)">
      <TypedField v-model="form.feed_g" label="Amount fed" unit="g" :error="give.errors.value.feed_g" />
      <PickField
        label="Did they come up to feed?"
        v-model="form.came_up"
        :choices="[
          { value: '', label: '' },
          ...Object.entries(CAME).map(([value, label]) => ({ value, label })),
        ]"
      />
      <PickField
        label="Feed left over"
        v-model="form.left_some"
        :choices="[
          { value: 'no', label: 'no' },
          { value: 'yes', label: 'yes' },
        ]"
      />
      <NButton attr-type="submit" :loading="give.pending.value">Book it</NButton>
    </form>
    <p v-if="give.trouble.value ?? undo.trouble.value" class="fault" role="alert">
      {{ give.trouble.value ?? undo.trouble.value }}
    </p>
    <ul class="rows acts">
      <li v-for="feed in fish.feeds" :key="feed.id">
        <b>{{ quantity(feed.feed_g, 'g') }}</b>
        <span class="soft"
          >{{ feed.age }}<template v-if="feed.by">, {{ feed.by }}</template
          ><template v-if="feed.came_up">, {{ CAME[feed.came_up] }}</template
          ><template v-if="feed.left_some">, left some</template></span
        >
        <button
          v-if="writes"
          type="button"
          class="link-button small"
          :aria-label="`Undo ${feed.feed_g} g, ${feed.age}`"
          @click="undo.send(feed.id)"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>
