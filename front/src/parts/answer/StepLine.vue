<script setup lang="ts">
import { computed } from 'vue'
import type { Trouble } from '@/api/types'
import FigureButton from '@/parts/FigureButton.vue'
import { labelOf } from '@/ways/pages'

const props = defineProps<{
  step: Trouble['causes'][number]['steps'][number]
  slug: string
  here?: boolean
}>()
defineEmits<{ fill: [] }>()
const named = computed(() => props.step.page && labelOf(props.step.page))
/** What is to be changed is the number to be read at arm's length. */
const said = computed(() => {
  const [, before, litres, after] = /^(Change )([\d,.]+ L(?: \([\d.]+ %\))?)(.*)$/s.exec(props.step.do) ?? []
  return before ? [before, litres, after] : [props.step.do, '', '']
})
const filled = computed(() => Object.keys(props.step.fill).length > 0)
</script>

<!-- One step of an answer: the deed with its amount, where it is done, the danger in it, and why. -->
<template>
  <div>
    <p class="do">
      {{ said[0] }}<b v-if="said[1]" class="amount">{{ said[1] }}</b
      >{{ said[2] }}
      <b v-if="step.measure" class="amount">{{ step.measure }}</b>
      <template v-if="step.page">
        <button v-if="here && filled" type="button" class="link-button small" @click="$emit('fill')">
          Fill it in
        </button>
        <RouterLink
          v-else-if="!here"
          class="small"
          :to="{ name: step.page, params: { system: slug }, query: step.fill }"
          >{{ named }}</RouterLink
        >
      </template>
    </p>
    <p v-if="step.caution" class="caution danger">{{ step.caution }}</p>
    <p v-if="step.why || step.figure" class="soft small">
      {{ step.why?.text }} <FigureButton v-if="step.figure" :figure="step.figure" />
    </p>
  </div>
</template>

<style scoped>
.do {
  font-size: 1.15rem;
}

.amount {
  font-size: 1.75rem;
  line-height: 1.1;
}
</style>
