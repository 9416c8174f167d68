<script setup lang="ts">
import { inSentence } from '@/words/inSentence'
import StepLine from './StepLine.vue'
import type { Step } from './useToday'

defineProps<{ slug: string; steps: Step[]; causes: string[]; fault?: string | null }>()
defineEmits<{ fill: [step: Step] }>()
</script>

<!-- What is to be done here today, before any field; the slot stands where the readings ask for nothing. -->
<template>
  <section class="today" aria-label="Today">
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <template v-if="steps.length">
      <p class="soft small">
        For {{ causes.map(inSentence).join(', ') }}, in this order.
        <RouterLink :to="{ name: 'trouble', params: { system: slug } }">All steps</RouterLink>
      </p>
      <ol>
        <li v-for="step in steps" :key="step.code">
          <StepLine :step="step" :slug="slug" here @fill="$emit('fill', step)" />
        </li>
      </ol>
    </template>
    <slot v-else />
    <slot name="besides" />
  </section>
</template>

<style scoped>
.today {
  padding: 0.2rem 0 0.2rem 1rem;
  margin-bottom: 1.5rem;
  border-left: 4px solid var(--straw);
}

.today :deep(.deed) {
  font-size: 1.35rem;
  line-height: 1.25;
}

.today :deep(.deed b) {
  font-size: 1.75rem;
}

li {
  padding: 0.35rem 0;
}
</style>
