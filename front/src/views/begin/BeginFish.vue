<script setup lang="ts">
import { NButton } from 'naive-ui'
import { reactive, watch } from 'vue'
import { answer, api } from '@/api/client'
import { useVocabulary } from '@/api/queries'
import type { System } from '@/api/types'
import { useSend } from '@/api/useSend'
import PickField from '@/parts/PickField.vue'
import FigureButton from '@/parts/FigureButton.vue'
import TypedField from '@/parts/TypedField.vue'

const props = defineProps<{ system: System }>()
defineEmits<{ none: [] }>()
const fish = reactive({ name: 'Koi', count: '', length_cm: '', came: 'here' })
const vocabulary = useVocabulary()
const feed = reactive({ feed_g_d: '', protein_pct: '' })
watch(vocabulary.data, (words) => (feed.protein_pct ||= String(words?.usual_protein_pct ?? '')), {
  immediate: true,
})
const keep = useSend(async (_: undefined, key) => {
  // Feed first: what is refused there keeps the fish from being added twice over.
  const typed = feed.feed_g_d.trim() !== ''
  await answer(() =>
    api.PUT('/api/systems/{system}/feed', {
      params: { path: { system: props.system.slug } },
      body: {
        by_ration: typed ? 'no' : 'yes',
        feed_g_d: feed.feed_g_d,
        protein_pct: feed.protein_pct,
      },
    }),
  )
  return answer(() =>
    api.PUT('/api/systems/{system}/fish/{id}', {
      params: { path: { system: props.system.slug, id: key } },
      body: { ...fish },
    }),
  )
})
</script>

<!-- Who lives in it and what they are fed: the load of the filter. -->
<template>
  <p class="lead">
    {{ system.name }} holds <FigureButton :figure="system.volume" /> by its build. Which fish live in it, and
    how much do they get?
  </p>
  <form novalidate @submit.prevent="keep.send(undefined)">
    <div class="fields">
      <TypedField v-model="fish.count" label="Number of fish" :error="keep.errors.value.count" />
      <TypedField
        v-model="fish.length_cm"
        label="Mean length"
        unit="cm"
        :error="keep.errors.value.length_cm"
      />
      <PickField
        label="They are"
        :error="keep.errors.value.came"
        v-model="fish.came"
        :choices="[
          { value: 'here', label: 'here already' },
          { value: 'today', label: 'new today' },
        ]"
      />
    </div>
    <div class="fields">
      <TypedField
        v-model="feed.feed_g_d"
        label="Feed a day"
        unit="g"
        hint="empty: by size and temperature"
        :error="keep.errors.value.feed_g_d"
      />
      <TypedField
        v-model="feed.protein_pct"
        label="Protein of the feed"
        unit="%"
        hint="by the bag; 38 is usual"
        :error="keep.errors.value.protein_pct"
      />
    </div>
    <div class="fields">
      <NButton type="primary" attr-type="submit" :loading="keep.pending.value">Save fish and feed</NButton>
      <NButton @click="$emit('none')">No fish yet</NButton>
    </div>
    <p v-if="keep.trouble.value" class="fault" role="alert">{{ keep.trouble.value }}</p>
  </form>
</template>
