<script setup lang="ts">
import type { Figure } from '@/api/types'
import { openFigure, openSlip } from '@/state/slip'

withDefaults(defineProps<{ figure: Figure; big?: boolean; bare?: boolean; strong?: boolean }>(), {
  strong: true,
})
</script>

<!-- A computed number: pressing it lays its working open. -->
<template>
  <button
    type="button"
    class="figure plain-button"
    :class="{ big, open: openFigure === figure }"
    :aria-label="`${figure.label}: ${figure.text} ${figure.unit ?? ''}. Show the working`"
    @click="openSlip(figure)"
  >
    <span class="value" :class="{ strong }">{{ figure.text }}</span>
    <span v-if="figure.unit && !bare" class="unit">{{ figure.unit }}</span>
  </button>
</template>

<style scoped>
.figure {
  border-bottom: 1px dotted var(--water);
  padding-bottom: 1px;
}

.figure:hover,
.open {
  border-bottom-style: solid;
  color: var(--water);
}

.strong {
  font-weight: 700;
}

.unit {
  font-size: 0.875rem;
  color: var(--soft);
}

.big .value {
  font-size: 1.75rem;
  line-height: 1.1;
}
</style>
