<script setup lang="ts">
import type { Rounds } from '@/api/types'
import { clock } from '@/units/time'

defineProps<{ before: Rounds['before'] }>()
</script>

<!-- Rounds that were finished: who walked, what was skipped and why, what was said. -->
<template>
  <details v-if="before.length" class="before">
    <summary>Rounds before</summary>
    <ul>
      <li v-for="one in before" :key="one.id">
        <b>{{ clock(one.ended_at ?? one.began_at) }}</b> {{ one.by
        }}<template v-if="one.passed_by">, handed over by {{ one.passed_by }}</template
        >: {{ one.looked }} looked at<template v-if="one.skipped.length"
          >; skipped {{ one.skipped.map((row) => `${row.name} (${row.why})`).join(', ') }}</template
        >.
        <span v-if="one.note" class="soft">{{ one.note }}</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.before {
  margin-top: 1.2rem;
}

li {
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--hair);
}
</style>
