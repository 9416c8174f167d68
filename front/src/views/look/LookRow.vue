<script setup lang="ts">
import type { Looks, System } from '@/api/types'
import { quantity } from '@/units/chosen'
import { clock } from '@/units/time'
import FishOutline from './FishOutline.vue'

defineProps<{ system: System; look: Looks['looks'][number] }>()
const CHANGES = ['worse', 'new', 'better', 'gone', 'same'] as const
</script>

<!-- One look: what was seen, beside the look before at the same fish. -->
<template>
  <li>
    <div>
      <p>
        <b>{{ look.whom ?? 'All of them' }}</b>
        <span class="soft small">
          {{ clock(look.on) }}<template v-if="look.by">, {{ look.by }}</template></span
        >
      </p>
      <p>{{ look.words }}</p>
      <p v-if="look.length_cm || look.weight_g" class="soft small">
        <template v-if="look.length_cm">{{ quantity(look.length_cm, 'cm', 3) }}</template><template
          v-if="look.length_cm && look.weight_g"
          >, </template
        ><template v-if="look.weight_g">{{ quantity(look.weight_g, 'g', 4) }}</template>
      </p>
      <p v-if="look.change" class="since">
        <span class="soft">Since last time:</span>
        <template v-for="kind in CHANGES" :key="kind"
          ><span v-if="look.change[kind].length" :class="{ fault: kind === 'worse' || kind === 'new' }"
            ><b>{{ kind }}</b> {{ look.change[kind].join(', ') }}</span
          ></template
        >
        <span v-if="CHANGES.every((kind) => !look.change?.[kind].length)"
          >nothing wrong then, nothing now</span
        >
      </p>
      <RouterLink
        v-if="look.trouble.length"
        class="small"
        :to="{ name: 'trouble', params: { system: system.slug }, query: { seen: look.trouble.join(',') } }"
        >What to do about it</RouterLink
      >
    </div>
    <div class="pictures">
      <FishOutline v-if="look.marks.length" :marks="look.marks" small />
      <a v-if="look.photo" :href="`/api/systems/${system.slug}/notes/${look.id}/photo`"
        ><img
          :src="`/api/systems/${system.slug}/notes/${look.id}/photo`"
          :alt="`${look.whom ?? 'Fish'}, ${clock(look.on)}`"
          loading="lazy"
      /></a>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  align-items: start;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.5rem 1.5rem;
  padding: 0.8rem 0;
  border-bottom: 1px solid var(--hair);
}

.since {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 1rem;
}

.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}

img {
  display: block;
  max-width: 9rem;
  max-height: 7rem;
}

@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
