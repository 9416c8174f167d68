<script setup lang="ts">
import type { State } from '@/api/types'

defineProps<{ state: State | null; quiet?: boolean; asleep?: boolean }>()
</script>

<!-- A word and a shape, never colour alone: a plain line, a notch, a wedge, a solid bar. -->
<template>
  <span class="mark" :class="state ?? 'none'">
    <svg width="26" height="14" viewBox="0 0 26 14" aria-hidden="true">
      <path v-if="state === 'good'" d="M0 11H26" class="line" />
      <path v-else-if="state === 'watch'" d="M0 11H8L13 3L18 11H26" class="line" />
      <path v-else-if="state === 'act'" d="M0 12L26 1V12Z" class="solid" />
      <path v-else-if="state === 'emergency'" d="M0 1H26V13H0Z" class="solid" />
      <path v-else d="M0 11H4M11 11H15M22 11H26" class="line" />
    </svg>
    <span v-if="!quiet" class="word">{{ asleep ? 'asleep' : (state ?? 'not tested') }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  white-space: nowrap;
}

.word {
  font-weight: 700;
}

.line {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.2;
}

.solid {
  fill: currentColor;
}

.good {
  color: var(--leaf);
}

.good .word,
.none .word {
  color: var(--soft);
  font-weight: 400;
}

.watch {
  color: var(--straw-ink);
}

.act,
.emergency {
  color: var(--rust-ink);
}

.none {
  color: var(--soft);
}
</style>
