<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLimits } from '@/api/queries'
import { HOW } from '@/words/how'

const props = defineProps<{ page: string; slug: string }>()
const how = computed(() => HOW[props.page])
const opened = ref(false)
const limits = useLimits(
  () => props.slug,
  () => opened.value,
)
const followed = computed(() =>
  (how.value?.topics ?? []).flatMap((id) => {
    const topic = limits.data.value?.topics.find((row) => row.id === id)
    const school = topic?.schools.find((row) => row.id === topic.follows)
    return topic && school ? [`${topic.name}: ${school.name}`] : []
  }),
)
</script>

<!-- How a page works, in one paragraph, with the schools it follows here. -->
<template>
  <details v-if="how" class="how no-print" @toggle="opened = ($event.target as HTMLDetailsElement).open">
    <summary>How this works</summary>
    <p>{{ how.says }}</p>
    <p v-if="followed.length">
      Schools followed here: {{ followed.join('; ') }}.
      <RouterLink :to="{ name: 'limits', params: { system: slug } }">Limits and schools</RouterLink>
    </p>
  </details>
</template>

<style scoped>
.how {
  max-width: 46rem;
  margin-top: 2.5rem;
  padding-top: 0.6rem;
  border-top: 1px solid var(--hair);
}

.how p {
  margin-top: 0.4rem;
}
</style>
