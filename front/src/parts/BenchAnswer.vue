<script setup lang="ts">
import type { Bench } from '@/api/types'
import FigureButton from './FigureButton.vue'

defineProps<{ bench: Bench; measure: string | null }>()
</script>

<!-- The answer of a bench: the amount in the keeper's tools, the figures behind it, steps, and what must be read. -->
<template>
  <p v-if="bench.refused" class="fault refused" role="alert">
    Not now. {{ bench.cautions.find((row) => row.level === 'danger')?.text }}
  </p>
  <p v-else-if="measure" class="measure">{{ measure }}</p>
  <dl v-if="bench.figures.length" class="answer">
    <div v-for="figure in bench.figures" :key="figure.key ?? figure.label">
      <dt>{{ figure.label }}</dt>
      <dd><FigureButton :figure="figure" /></dd>
    </div>
  </dl>
  <ol v-if="bench.steps.length">
    <li v-for="step in bench.steps" :key="step">{{ step }}</li>
  </ol>
  <template v-for="caution in bench.cautions" :key="caution.text"
    ><p v-if="!(bench.refused && caution.level === 'danger')" class="caution" :class="caution.level">
      {{ caution.text }}
    </p></template
  >
</template>

<style scoped>
.measure {
  margin: 0.6rem 0;
  font-size: 1.9rem;
  font-weight: 700;
  line-height: 1.15;
}

.answer {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 2rem;
  margin: 0.5rem 0 0.8rem;
}

dt {
  font-size: 0.85rem;
  color: var(--soft);
}

.refused {
  padding: 0.6rem 0.9rem;
  border-left: 6px solid var(--rust);
}
</style>
