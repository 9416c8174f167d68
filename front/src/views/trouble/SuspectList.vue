<script setup lang="ts">
import { computed, ref } from 'vue'
import type { System, Trouble } from '@/api/types'
import { labelOf } from '@/ways/pages'

const props = defineProps<{ system: System; suspects: Trouble['suspects'] }>()
const SHOWN = 3
const all = ref(false)
const shown = computed(() => (all.value ? props.suspects : props.suspects.slice(0, SHOWN)))
const where = (page: string) =>
  page === 'shelf' ? { name: page } : { name: page, params: { system: props.system.slug } }
</script>

<!-- What may be behind it by this book, what speaks for each and against it, and the test that would tell. -->
<template>
  <section class="part" aria-label="What may be behind it">
    <h2>What may be behind it</h2>
    <p class="soft small">
      Ranked by points for what the book says; points are no probability. The deeds above come first.
    </p>
    <ol>
      <li v-for="one in shown" :key="one.id" :aria-label="one.name">
        <p class="head">
          <b>{{ one.name }}</b>
          <span class="small" :class="{ soft: one.word !== 'likely' }"
            >{{ one.word }}, {{ one.points }} {{ one.points === 1 ? 'point' : 'points' }}</span
          >
        </p>
        <p v-for="said in one.for" :key="said.text" class="said">
          <span aria-label="for it">+</span>{{ said.text }}
        </p>
        <p v-for="said in one.against" :key="said.text" class="said soft">
          <span aria-label="against it">–</span>{{ said.text }}
        </p>
        <p class="small">
          To decide: {{ one.decides }}
          <RouterLink :to="where(one.page)">{{ labelOf(one.page) ?? 'Shelf' }}</RouterLink>
        </p>
      </li>
    </ol>
    <button v-if="suspects.length > SHOWN && !all" type="button" class="link-button" @click="all = true">
      {{ suspects.length - SHOWN }} more, less likely
    </button>
  </section>
</template>

<style scoped>
li {
  padding: 0.55rem 0;
  border-bottom: 1px solid var(--hair);
}

p {
  max-width: 46rem;
  margin: 0 0 0.2rem;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.75rem;
  align-items: baseline;
}

.said {
  display: grid;
  grid-template-columns: 1.2rem minmax(0, 1fr);
}
</style>
